<?php

namespace App\Console\Commands;

use App\Bridge\StickRehearsal;
use App\Catalogue\CatalogueFolder;
use App\Catalogue\PathDocument;
use App\Devices\Inspection\FileSource;
use App\Documents\DocumentFault;
use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Boot\PowerOn;
use Cobblestone\Boot\Rehearsal;
use Cobblestone\Boot\StickStart;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Document\FieldFault;
use Cobblestone\Media\Inspection\Compression;
use Cobblestone\Runbook\OrderImpossible;
use Cobblestone\Runbook\Wants;
use DomainException;
use Illuminate\Console\Command;
use InvalidArgumentException;
use RuntimeException;

final class RehearseCommand extends Command
{
    use SaidWords;

    protected $signature = 'cobblestone:rehearse {path? : a brief as YAML, or a plan as JSON}
        {--image= : a stick, or the image of one}
        {--machine= : a model of the catalogue}
        {--firmware= : uefi, uefi-secure or bios, where no model is named}
        {--keys=* : enrolled keys: certificates (PEM, DER), signature lists (db, dbx), or a firmware\'s variable store}
        {--set=* : a setting that differs, as secure_boot=on}
        {--catalogue= : a folder of catalogue files}
        {--json : print the findings as JSON}';

    protected $description = 'Predicts how a machine starts: every power-on of a path, or one stick on one machine';

    public function handle(): int
    {
        try {
            return match (true) {
                $this->chosen('image') !== null => $this->image(),
                $this->argument('path') !== null => $this->path($this->said('path')),
                default => throw new InvalidArgumentException('Name a brief or a plan, or a stick by --image=FILE.'),
            };
        } catch (
            DocumentFault|UnknownEntry|BriefFault|OrderImpossible|DomainException|InvalidArgumentException
            |RuntimeException $e
        ) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
    }

    private function path(string $file): int
    {
        $starts = array_map(static fn (PowerOn $start): array => $start->found()->toArray(), $this->starts($file));
        $failing = array_values(array_filter($starts, static fn (array $start): bool => ! $start['succeeds']));
        if ($this->option('json')) {
            $this->output->writeln(
                (string) json_encode(
                    ['path' => basename($file), 'power_ons' => $starts, 'fails' => count($failing)],
                    JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
                ),
            );

            return $failing === [] ? self::SUCCESS : 2;
        }
        foreach ($starts as $start) {
            $this->say(
                sprintf(
                    '%s %-26s %-34s %s',
                    $start['succeeds'] ? ' ' : '×',
                    $start['title'],
                    Wants::from($start['wants'])->title(),
                    Outcome::from($start['outcome'])->title(),
                ),
            );
            if (! $start['succeeds']) {
                $this->say("    {$start['cause']} ".($start['fix'] === '' ? '' : "Mend it: {$start['fix']}"));
            }
            if ($start['settled_by'] !== null) {
                $this->say("    It depends on {$start['settled_by']}, which is not known.");
            }
        }

        return $failing === [] ? self::SUCCESS : 2;
    }

    /** @return list<PowerOn> */
    private function starts(string $file): array
    {
        $plan = PathDocument::plan($file, $this->chosen('catalogue'));
        $boot = $plan->assessment->optionalBlock('boot');
        if ($boot === null) {
            throw new InvalidArgumentException(
                "{$file}: this plan has no machine to rehearse it on. Compute it anew with cobblestone:plan.",
            );
        }
        try {
            return Rehearsal::run(BootScene::fromArray($boot->all()), $plan->steps);
        } catch (FieldFault $e) {
            throw new InvalidArgumentException(
                "{$file}: the plan is damaged ({$e->getMessage()}). Compute it anew with cobblestone:plan.",
            );
        }
    }

    private function image(): int
    {
        $file = $this->chosen('image') ?? '';
        $set = [];
        foreach ((array) $this->option('set') as $pair) {
            [$name, $value] = [...explode('=', (string) $pair, 2), null];
            $set[$name] = $value ?? throw new InvalidArgumentException("--set {$pair}: write it as name=value.");
        }
        if (($this->chosen('machine') === null) === ($this->chosen('firmware') === null)) {
            throw new InvalidArgumentException(
                'Name either --machine=MODEL or --firmware=uefi, uefi-secure or bios.',
            );
        }
        if (! is_file($file)) {
            throw new InvalidArgumentException("{$file}: there is no such file.");
        }
        $catalogue = CatalogueFolder::read(
            (string) ($this->chosen('catalogue') ?? config('cobblestone.catalogue')),
        )->catalogue();
        $possible = (new StickRehearsal($catalogue))->predict(
            $file,
            $this->chosen('machine'),
            $this->chosen('firmware'),
            array_values(array_map(strval(...), (array) $this->option('keys'))),
            $set,
        );
        $notes = self::notes($file);
        $found = [
            'image' => basename($file),
            'machine' => $this->chosen('machine'),
            'firmware' => $this->chosen('firmware'),
            'set' => (object) $set,
            ...StickStart::toArray($possible),
            'notes' => $notes,
        ];

        return $this->told($found, $notes);
    }

    /**
     * @return list<string>
     */
    private static function notes(string $file): array
    {
        $packed = Compression::detect(new FileSource($file));
        $notes =
            $packed === null
                ? []
                : [
                    "The file is packed ({$packed->kind}); firmware would see its packed bytes. Rehearse it as it "
                        .'stands on a stick.',
                ];

        return $notes;
    }

    /**
     * @param  array<string, mixed>  $found
     * @param  list<string>  $notes
     */
    private function told(array $found, array $notes): int
    {
        if ($this->option('json')) {
            $this->output->writeln(
                (string) json_encode(
                    $found,
                    JSON_PRETTY_PRINT |
                        JSON_UNESCAPED_SLASHES |
                        JSON_UNESCAPED_UNICODE |
                        JSON_INVALID_UTF8_SUBSTITUTE,
                ),
            );

            return self::SUCCESS;
        }
        foreach ($notes as $note) {
            $this->say("Note: {$note}");
        }
        $this->say(Outcome::from($found['ends_in'])->title());
        foreach ($found['chain'] as $stone) {
            $this->say(sprintf('  %s %-12s %s', $stone['holds'] ? '·' : '×', $stone['name'], $stone['words']));
        }
        $this->say($found['fix'] === '' ? '' : "Mend it: {$found['fix']}");
        if ($found['settled_by'] !== null) {
            $this->say(
                "It depends on {$found['settled_by']}, which is not known: ".
                    implode(' or ', $found['possible']).
                    '.',
            );
        }
        foreach ($found['otherwise'] as $other) {
            $this->say("If {$other['if']} is {$other['is']}: {$other['outcome']}.");
        }

        return self::SUCCESS;
    }

    /** Names come out of the image: nothing in them may steer the terminal. */
    private function say(string $line): void
    {
        if ($line !== '') {
            $this->output->writeln((string) preg_replace('/[\x00-\x1F\x7F]/', '?', $line), 16);
        }
    }
}
