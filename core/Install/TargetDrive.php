<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Question;

/** The one drive that will be erased, named by serial and exact bytes; never guessed among several (rule I1). */
final readonly class TargetDrive
{
    /**
     * @param  list<Drive>  $others  internal drives that stay
     * @param  list<Decision>  $decisions
     * @param  list<Question>  $questions
     */
    private function __construct(public ?Drive $drive, public array $others, public array $decisions, public array $questions)
    {
    }

    public static function choose(Machine $machine): self
    {
        $internal = $machine->internalDrives();
        if ($internal === []) {
            return self::typed($machine, $machine->drives !== []);
        }
        if (count($internal) === 1) {
            return self::chosen($internal[0], [], 'It is the only internal drive in the reading.');
        }
        $wish = $machine->fact('target.path');
        foreach ($internal as $drive) {
            if ($wish->is($drive->path)) {
                $others = array_values(array_filter($internal, static fn (Drive $other): bool => $other !== $drive));

                return self::chosen($drive, $others, "Chosen among {$wish->spoken()} and ".count($others).' more: '.$wish->origin.'.');
            }
        }
        $options = [];
        foreach ($internal as $drive) {
            $options[$drive->path] = self::describe($drive);
        }

        return new self(null, $internal, [], [new Question('target.path', 'Which drive is to be erased?', $options, 'the drive that the one-way step names; installers number drives differently at every start', 'I1', 90, [Act::Erase])]);
    }

    /**
     * A drive that is new: named by the serial and size on its label, or the only blank one that was read.
     *
     * @param  list<Drive>|null  $read  the drives inside, where the machine is new too; null where the new drive is not in it yet
     */
    public static function fitted(Machine $machine, ?array $read): self
    {
        $blank = array_values(array_filter($read ?? [], static fn (Drive $drive): bool => $drive->isBlank()));
        if (count($blank) === 1) {
            return self::chosen($blank[0], array_values(array_filter($read ?? [], static fn (Drive $drive): bool => $drive !== $blank[0])), 'It is the only blank drive in the reading.');
        }
        $others = $read === null ? array_values(array_filter($machine->internalDrives(), static fn (Drive $drive): bool => count($machine->internalDrives()) > 1 && ! $machine->fact('swap.path')->is($drive->path))) : [];
        $serial = $machine->fact('target.serial')->value;
        $bytes = $machine->fact('target.bytes')->value;
        $size = null;
        try {
            $size = is_int($bytes) || is_string($bytes) ? Bytes::parse($bytes) : null;
        } catch (InvalidQuantity) {
            // asked again below
        }
        if (is_scalar($serial) && trim((string) $serial) !== '' && $size !== null && $size->count > 0) {
            return self::chosen(new Drive('new', $size, trim((string) $serial), 'New drive'), $others, 'Its serial and size are on its label.');
        }

        return new self(null, $others, [], [new Question('target.reading', 'Which drive is the new one? Paste what `lsblk -J -b` prints once it is fitted, or give serial and exact bytes from its label.', [], 'the drive that is written to and its layout to the sector', 'A1, I1', 90, [Act::Erase])]);
    }

    /** "Saltmarsh NV-3 · 512.1 GB · serial SM88-…•••• · old system inside". */
    public static function describe(Drive $drive): string
    {
        $labels = array_filter(array_map(static fn ($partition): ?string => $partition->label, $drive->partitions));
        $contents = match (true) {
            $drive->isBlank() => 'blank',
            $labels !== [] => 'holds '.implode(', ', array_slice($labels, 0, 3)),
            $drive->partitions !== [] => count($drive->partitions).' partitions',
            default => 'contents not shown',
        };

        return implode(' · ', array_filter([$drive->path, $drive->model, $drive->size->decimal(), $drive->serial === null ? 'no serial' : 'serial '.Confirmation::mask($drive->serial), $contents]));
    }

    /** @param  list<Drive>  $others */
    private static function chosen(Drive $drive, array $others, string $because): self
    {
        $refused = [];
        foreach ($others as $other) {
            $refused[self::describe($other)] = ['It stays as it is.'];
        }

        return new self($drive, $others, [new Decision('install.target', 'Target drive', self::describe($drive), [$because, 'It is confirmed by the serial printed on it, not by its number in the installer.'], $refused, ["serial and {$drive->size->exact()}"], 'I1')], []);
    }

    private static function typed(Machine $machine, bool $read): self
    {
        $serial = $machine->fact('target.serial')->value;
        $bytes = $machine->fact('target.bytes')->value;
        if (is_scalar($serial) && $bytes !== null && trim((string) $serial) !== '') {
            try {
                $size = Bytes::parse(is_int($bytes) ? $bytes : (string) $bytes);
            } catch (InvalidQuantity) {
                $size = Bytes::of(0);
            }
            if ($size->count > 0) {
                return self::chosen(new Drive('typed', $size, trim((string) $serial), detailed: false), [], 'Its serial and size were typed in.');
            }
        }
        $lead = $read ? 'The reading shows no internal drive. ' : '';

        return new self(null, [], [], [new Question('target.reading', "{$lead}Which drive is inside? Start any live system on the machine and paste what `lsblk -J -b` prints, or give serial and exact bytes.", [], 'the drive that will be erased and its layout to the sector', 'A1, I1', 90, [Act::Erase])]);
    }
}
