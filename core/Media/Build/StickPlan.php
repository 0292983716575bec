<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Fat32Geometry;
use Cobblestone\Storage\Layout;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Text\Visible;

/**
 * Everything that has to be known to make one stick, and to prove it afterwards: the plan that is exported (rule
 * M13).
 */
final readonly class StickPlan
{
    public const VERSION = 1;

    /**
     * @param  int  $device  exact bytes of the stick it was planned for
     * @param  string|null  $serial  of that stick; null where it has none
     * @param  Layout|null  $layout  null when written raw
     * @param  list<PlannedFile>  $files  in the order they are written; empty when written raw
     */
    public function __construct(
        public string $title,
        public SourceImage $image,
        public WriteMode $mode,
        public int $device,
        public int $sector,
        public ?string $serial,
        public ?string $label,
        public ?Layout $layout,
        public array $files,
        public ?Splitter $splitter = null,
    ) {
    }

    /** Bytes that go onto the stick: the files, or the image as it comes out. */
    public function bytes(): ?int
    {
        return $this->mode === WriteMode::Raw
            ? $this->image->expanded
            : array_sum(array_map(static fn (PlannedFile $file): int => $file->bytes, $this->files));
    }

    /**
     * @param  array<string, mixed>  $data
     *
     * @throws PlanFault
     */
    public static function fromArray(array $data): self
    {
        if (($data['cobblestone_stick_plan'] ?? null) !== self::VERSION) {
            throw PlanFault::at('cobblestone_stick_plan', 'this is no stick plan of version '.self::VERSION.'.');
        }
        $image = SourceImage::fromArray(PlanFields::block($data, 'image', 'the image is missing.'));
        $mode = WriteMode::from((string) PlanFields::oneOf($data, 'mode', ['raw', 'files-copied']));
        $files = [];
        foreach (PlanFields::rows($data, 'files') as $index => $row) {
            $files[] = PlannedFile::fromArray($row, $index);
        }
        try {
            $layout = isset($data['layout']) && is_array($data['layout']) ? Layout::fromArray($data['layout']) : null;
        } catch (LayoutImpossible $e) {
            throw PlanFault::at('layout', $e->getMessage());
        }
        $plan = new self(
            PlanFields::text($data, 'title', 120),
            $image,
            $mode,
            PlanFields::whole($data, 'device_bytes'),
            PlanFields::whole($data, 'sector_bytes'),
            ($data['serial'] ?? null) === null ? null : PlanFields::text($data, 'serial', 120),
            ($data['label'] ?? null) === null ? null : PlanFields::text($data, 'label', 11),
            $layout,
            $files,
            ($data['splitter'] ?? null) === null ? null : Splitter::fromArray($data['splitter']),
        );
        $plan->mustHold();

        return $plan;
    }

    /**
     * What holds of every plan, wherever it came from.
     *
     * @throws PlanFault
     */
    public function mustHold(): void
    {
        if ($this->mode === WriteMode::Raw) {
            $this->mustFit();

            return;
        }
        if ($this->layout === null || ($this->layout->partitions[0]->fat32 ?? null) === null) {
            throw PlanFault::at('layout', 'files are copied onto a FAT32 partition, and there is none.');
        }
        if ($this->layout->device->count !== $this->device || $this->layout->sector->value !== $this->sector) {
            throw PlanFault::at('layout', 'it is made for a device of another size.');
        }
        if ($this->image->tree === null) {
            throw PlanFault::at('image.tree', 'nobody says how the files of the image are read.');
        }
        foreach ($this->files as $file) {
            if (preg_match('/[\x00-\x1F\x7F]/', $file->source.$file->path) === 1) {
                throw PlanFault::notPossible(
                    Visible::line($file->source).
                        ' has control characters in its name: no tool is handed such a name. Write the image raw, or '
                            .'choose another.',
                );
            }
            if ($file->bytes > Fat32Geometry::MAX_FILE) {
                throw PlanFault::notPossible(
                    "{$file->path} has {$file->bytes} B, more than a FAT32 file can hold. Split it, or write the "
                        .'image raw.',
                );
            }
        }
        $faults = FatNames::faults(array_map(static fn (PlannedFile $file): string => $file->path, $this->files));
        if ($faults !== []) {
            throw PlanFault::notPossible(
                'FAT cannot take these names: '.implode(' ', $faults).' Write the image raw, or choose another.',
            );
        }
    }

    private function mustFit(): void
    {
        if ($this->image->expanded !== null && $this->image->expanded > $this->device) {
            throw PlanFault::notPossible(
                "The image has {$this->image->expanded} B when written, the "
                    ."stick {$this->device} B. Take a larger stick.",
            );
        }
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'cobblestone_stick_plan' => self::VERSION,
            'title' => $this->title,
            'image' => $this->image->toArray(),
            'mode' => $this->mode->value,
            'device_bytes' => $this->device,
            'sector_bytes' => $this->sector,
            'serial' => $this->serial,
            'label' => $this->label,
            'layout' => $this->layout?->toArray(),
            'files' => array_map(static fn (PlannedFile $file): array => $file->toArray(), $this->files),
            'splitter' => $this->splitter?->toArray(),
        ];
    }
}
