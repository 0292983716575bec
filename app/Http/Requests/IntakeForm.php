<?php

namespace App\Http\Requests;

use App\Actions\ReadInventory;
use App\Models\ShelfFile;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Inventory\InventoryReader;
use Cobblestone\Media\Inspection\InspectedImage;
use Cobblestone\Runbook\JobKind;

/** Typed fields to a brief. What was typed into the machine field is looked up by its words. */
final class IntakeForm
{
    use TypedFields;

    /** Before the number of a file of the shelf, where an image is chosen. */
    public const SHELF = 'shelf:';

    public const KINDS = [
        'laptop' => 'a laptop the catalogue does not hold',
        'desktop' => 'a desktop the catalogue does not hold',
        'handheld' => 'a handheld the catalogue does not hold',
        'sealed' => 'a sealed machine the catalogue does not hold',
        'any' => 'any machine, for a stick only',
    ];

    /**
     * @param  array<array-key, string>  $files  number => words
     * @return array<string, string> the same as choices of an image
     */
    public static function shelf(array $files): array
    {
        $choices = [];
        foreach ($files as $number => $words) {
            $choices[self::SHELF.$number] = $words;
        }

        return $choices;
    }

    /** @param  array<string, mixed>  $typed */
    public function __construct(
        private readonly array $typed,
        private readonly Catalogue $catalogue,
        private readonly string $who,
        private readonly string $at,
    ) {
    }

    /**
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     *
     * @throws BriefFault
     */
    public function over(array $before): array
    {
        $goal = JobKind::tryFrom((string) ($this->text('goal') ?? ($before['goal'] ?? ''))) ?? JobKind::CleanInstall;
        $machine = $this->machine($before['machine'] ?? []);
        // Changes are made on the brief as it was: what the form does not show stays.
        $brief = [
            ...$before,
            'brief' => 1,
            'title' => $this->text('title') ?? self::titleOf($machine, $this->catalogue),
            'goal' => $goal->value,
            'owner' => $this->text('owner') ?? ($before['owner'] ?? 'the owner'),
        ];
        if (array_key_exists('slot', $this->typed)) {
            unset($brief['slot']);
            $brief += $this->text('slot') === null ? [] : ['slot' => (int) $this->text('slot')];
        }
        $brief['machine'] = $this->facts($machine);
        unset($brief['system'], $brief['edition'], $brief['image']);
        $brief = [
            ...$brief,
            ...$goal->rules()->wantsImage() ? $this->image($before, $machine) : $this->system($before, $machine, $goal),
        ];
        $brief = (new IntakeBlocks($this->typed))->over($brief);
        $backup = (new IntakeBackup($this->typed))->over($before['backup'] ?? []);
        unset($brief['backup']);
        $brief += $backup === [] ? [] : ['backup' => $backup];
        $brief['read_at'] = $this->at;

        return $brief;
    }

    /**
     * What stands on the machine, for a job that brings no image of its own.
     *
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $machine
     * @return array<string, mixed>
     */
    private function system(array $before, array $machine, JobKind $goal): array
    {
        $image = $this->text('image');
        if ($image !== null && $image !== 'other') {
            return $this->image($before, $machine);
        }
        $usual = $this->usualImage($machine);
        $system =
            $this->text('system_id') ??
            ($before['system'] ?? ($usual === null ? null : $this->catalogue->image($usual)->system));
        if ($system === null && $this->text('system_name') !== null) {
            $system = ['name' => $this->text('system_name')];
        }
        if ($system === null && $goal->rules()->wantsSystem()) {
            throw BriefFault::at('system', 'which system is on it? Choose one, or name it.');
        }

        return array_filter(
            ['system' => $system, 'edition' => $before['edition'] ?? null],
            static fn ($value): bool => $value !== null,
        );
    }

    /**
     * Only facts and a pasted reading, over everything as it was.
     *
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     */
    public function answersOver(array $before): array
    {
        return [...$before, 'machine' => $this->facts($before['machine']), 'read_at' => $this->at];
    }

    /**
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     */
    private function machine(array $before): array
    {
        $kept = array_intersect_key($before, array_flip(['facts', 'facts_from', 'lsblk', 'readings', 'settled']));
        $text = $this->text('machine');
        if ($text === null) {
            throw BriefFault::at(
                'machine',
                'type a few letters of the model, or "laptop", "desktop" or "handheld" for one the catalogue does '
                    .'not hold.',
            );
        }
        if (isset(self::KINDS[strtolower($text)])) {
            if (strtolower($text) === 'any') {
                return ['kind' => 'any', 'title' => 'any machine'];
            }

            return [
                'kind' => strtolower($text),
                'title' => $this->text('machine_title') ?? 'Unknown '.strtolower($text),
                ...$this->sockets(),
                ...$kept,
            ];
        }

        return ['model' => MachineLookup::find($text, $this->catalogue->machines()), ...$kept];
    }

    /**
     * As counted; where nobody has, they are not known, and none is made up.
     *
     * @return array{}|array{ports: array<string, int>}
     */
    private function sockets(): array
    {
        $said = array_filter([
            'usb-a' => $this->text('usb_a'), 'usb-c' => $this->text('usb_c'),
        ], static fn (?string $count): bool => $count !== null);

        return $said === [] ? [] : ['ports' => array_map(intval(...), $said)];
    }

    /**
     * @param  array<string, mixed>  $machine
     * @return array<string, mixed>
     */
    private function facts(array $machine): array
    {
        if ($this->text('lsblk') !== null) {
            $text = str_replace("\r\n", "\n", (string) $this->typed['lsblk']);
            // Whatever tool it was: another one than lsblk is read for what it is.
            if (! in_array(InventoryReader::recognise($text), [null, 'lsblk'], true)) {
                [$machine] = (new ReadInventory(now()->utc()->format('Y-m-d\TH:i\Z')))->text($text)->into($machine);
            } else {
                $machine['lsblk'] = $text;
                $machine['readings'] = array_values(
                    array_filter(
                        $machine['readings'] ?? [],
                        static fn (array $reading): bool => $reading['tool'] !== 'lsblk',
                    ),
                );
                if ($machine['readings'] === []) {
                    unset($machine['readings']);
                }
            }
        }
        foreach ($this->typed['facts'] ?? [] as $name => $value) {
            if (is_string($value) && trim($value) !== '') {
                $machine['facts'][(string) $name] = trim($value);
                $machine['facts_from'] = $this->who;
            } elseif (array_key_exists((string) $name, $this->typed['facts'])) {
                unset($machine['facts'][(string) $name]);
            }
        }
        if (($machine['facts'] ?? null) === []) {
            unset($machine['facts'], $machine['facts_from']);
        }

        return $machine;
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $machine
     * @return array<string, mixed>
     */
    private function image(array $before, array $machine): array
    {
        $id = $this->text('image') ?? (isset($before['image']) ? null : $this->usualImage($machine));
        if ($id !== null && str_starts_with($id, self::SHELF)) {
            return $this->fromShelf(substr($id, strlen(self::SHELF)));
        }
        if ($id !== null && $id !== 'other') {
            $image = $this->catalogue->image($id);

            return [
                'system' => $image->system,
                ...$image->edition === null ? [] : ['edition' => $image->edition],
                'image' => $id,
            ];
        }
        if ($id === null && isset($before['image'])) {
            return array_intersect_key($before, array_flip(['system', 'edition', 'image']));
        }
        if ($this->text('system_name') === null) {
            throw BriefFault::at(
                'system.name',
                'what is to be installed? Choose an image from the shelf, or name the system.',
            );
        }
        $described = is_array($before['image'] ?? null) ? $before['image'] : [];

        return [
            'system' => ['name' => $this->text('system_name')],
            'image' => [
                ...$this->told(array_diff_key($described, ['name' => 1, 'bytes' => 1, 'origin' => 1])),
                ...(new IntakeOrigin($this->typed))->over($described),
                'name' => $this->text('image_name') ?? 'image of '.$this->text('system_name'),
                'bytes' => $this->size('image_bytes', 'image.bytes') ??
                    throw BriefFault::at(
                        'image.bytes',
                        'how large is the image file? A number with a unit will do, such as "3.6 GB".',
                    ),
            ],
        ];
    }

    /**
     * An image that lies on the shelf and that the catalogue does not describe: as it was inspected.
     *
     * @return array<string, mixed>
     *
     * @throws BriefFault
     */
    private function fromShelf(string $id): array
    {
        $file = ctype_digit($id) && strlen($id) < 10 ? ShelfFile::query()->find((int) $id) : null;
        $report = $file?->inspected();
        if ($file === null || $report === null) {
            $gone = 'this image is not on the shelf any more, or was not inspected. Choose anew.';
            throw BriefFault::at('image', $gone);
        }
        $name = $this->text('system_name') ?? ($file->said('line') ?: null) ?? throw BriefFault::at(
            'system.name',
            "which system is in {$file->name}? Name it here, or on its page of the Shelf.",
        );
        $said = (new InspectedImage($report, $file->sha256))->described();

        return [
            'system' => ['name' => $name],
            'image' => [...$said, ...(new IntakeOrigin($this->typed))->over([])],
        ];
    }

    /**
     * What the form says of an image that no catalogue holds, over what was said before.
     *
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     */
    private function told(array $before): array
    {
        $image = $this->setting($before, 'kind', 'image_kind', $this->text('image_kind'));
        $sum = $this->text('image_sha256');
        $image = $this->setting($image, 'sha256', 'image_sha256', $sum === null ? null : strtolower($sum));
        if ($sum === null && $this->text('image_no_sum') === 'none') {
            $image['sha256'] = null;
        }
        $signed = match ($this->text('image_loader')) {
            'signed' => true,
            'unsigned' => false,
            default => null,
        };
        $loader = is_array($image['loader'] ?? null) ? $image['loader'] : [];

        return $this->setting($image, 'loader', 'image_loader', $signed === null ? null : [
            ...$loader, 'signed' => $signed,
        ]);
    }

    /** @param  array<string, mixed>  $machine */
    private function usualImage(array $machine): ?string
    {
        return isset($machine['model']) ? $this->catalogue->machine($machine['model'])->usualImage : null;
    }

    /** @param  array<string, mixed>  $machine */
    private static function titleOf(array $machine, Catalogue $catalogue): string
    {
        return isset($machine['model']) ? $catalogue->machine($machine['model'])->name : (string) $machine['title'];
    }
}
