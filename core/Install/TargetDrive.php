<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\DriveWords;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Question;

/** The one drive that will be erased, named by serial and exact bytes; never guessed among several (rules I1, K2). */
final readonly class TargetDrive
{
    /** The fact that says whether other drives are inside, where nobody has read them. */
    public const OTHERS = 'target.others';

    /** The fact that names it: its serial or WWN; its path where it has neither. */
    public const FACT = 'target.drive';

    /**
     * @param  list<Drive>  $others  internal drives that stay
     * @param  list<Drive>  $out  drives that come out, or off, before anything is written
     * @param  list<Decision>  $decisions
     * @param  list<Question>  $questions
     * @param  list<Blocker>  $blockers
     * @param  Keeping|null  $keeping  null where the whole drive is laid out anew
     */
    private function __construct(
        public ?Drive $drive,
        public array $others,
        public array $out,
        public array $decisions,
        public array $questions,
        public array $blockers = [],
        public ?Keeping $keeping = null,
    ) {
    }

    /**
     * The same with what stays on it; null where that cannot be, and the blockers say why.
     *
     * @param  list<Decision>  $decisions
     * @param  list<Blocker>  $blockers
     * @param  list<Question>  $questions
     */
    public function keeping(?Keeping $keeping, array $decisions, array $blockers, array $questions): self
    {
        [$all, $against] = [[...$this->decisions, ...$decisions], [...$this->blockers, ...$blockers]];

        $asked = [...$this->questions, ...$questions];

        return new self($this->drive, $this->others, $this->out, $all, $asked, $against, $keeping);
    }

    public static function choose(Machine $machine): self
    {
        $internal = $machine->internalDrives();
        if ($internal === []) {
            return self::typed($machine, $machine->drives !== []);
        }
        $named = NamedDrive::among($internal, $machine, 'target');
        if ($named->blockers !== []) {
            return new self(null, $internal, [], [], [], $named->blockers);
        }
        if ($named->drive !== null || count($internal) === 1) {
            $drive = $named->drive ?? $internal[0];
            $others = self::without($internal, $drive);
            $because = $others === []
                ? 'It is the only internal drive in the reading.'
                : 'Chosen among it and '.count($others)." more: {$named->by}.";

            return self::chosen($drive, $others, $machine, $because);
        }

        $which = self::which($internal, 'Which drive is to be erased?', self::FACT, [Act::Erase]);

        return new self(null, $internal, [], [], [$which]);
    }

    /**
     * A drive that is new: named by the serial and size on its label, or the only blank one that was read.
     *
     * @param  list<Drive>|null  $read  the drives inside, where the machine is new too; null where the new drive is
     *     not in it yet
     * @param  Drive|null  $old  the one that comes out
     */
    public static function fitted(Machine $machine, ?array $read, ?Drive $old = null): self
    {
        $blank = array_values(array_filter($read ?? [], static fn (Drive $drive): bool => $drive->isBlank()));
        if (count($blank) === 1) {
            $others = self::without($read ?? [], $blank[0]);

            return self::chosen($blank[0], $others, $machine, 'It is the only blank drive in the reading.');
        }
        $inside = $machine->internalDrives();
        $others = $read ?? (count($inside) > 1 ? self::without($inside, $old) : []);
        $drive = self::described($machine, 'new', 'New drive');
        if ($drive === null) {
            $text = 'Which drive is the new one? Paste what `lsblk -J -b` prints once it is fitted, or give serial '
                .'and exact bytes from its label.';

            return self::asked($others, $text, 'the drive that is written to and its layout to the sector');
        }
        if ($old?->isNamed((string) $drive->serial) === true) {
            return new self(null, $others, [], [], [], [Blocker::stop(
                'target-is-old',
                'The serial of the new drive is that of the one that comes out ('.DriveWords::full($old).').',
                'I1, U6',
                Door::fact('target.serial', 'Read the serial of the new drive from its label.'),
                ["target.serial = {$drive->serial}"],
            )]);
        }
        foreach ($others as $other) {
            if ($other->isNamed((string) $drive->serial)) {
                return self::chosen($other, self::without($others, $other), $machine, 'Its serial was typed.');
            }
        }

        $chosen = self::chosen($drive, $others, $machine, 'Its serial and size are on its label.');

        return $inside === [] ? $chosen->besides($machine) : $chosen;
    }

    /**
     * @param  list<Drive>  $drives
     * @return list<Drive>
     */
    private static function without(array $drives, ?Drive $one): array
    {
        return array_values(array_filter($drives, static fn (Drive $drive): bool => $drive !== $one));
    }

    /** @param  list<Drive>  $others */
    private static function asked(array $others, string $text, string $decides): self
    {
        $asked = new Question(Question::DRIVE_READING, $text, [], $decides, 'A1, I1', 90, [Act::Erase]);

        return new self(null, $others, [], [], [$asked]);
    }

    /**
     * @param  list<Drive>  $drives
     * @param  list<Act>  $shuts
     */
    public static function which(array $drives, string $text, string $fact, array $shuts): Question
    {
        $options = [];
        foreach ($drives as $drive) {
            $options[$drive->identity() ?? $drive->path] = DriveWords::full($drive);
        }

        return new Question(
            $fact,
            $text,
            $options,
            'the drive that the path names; installers number drives differently at every start',
            'I1',
            90,
            $shuts,
        );
    }

    /** Whether its serial can name it: there is one, and no other drive reports it. */
    public function isProven(): bool
    {
        return $this->drive?->hasProof() === true;
    }

    /** @param  list<Drive>  $others */
    private static function chosen(Drive $drive, array $others, Machine $machine, string $because): self
    {
        $attached = array_values(array_filter(
            self::without($machine->drives, $drive),
            static fn (Drive $other): bool => ! in_array($other, $others, true) && ! $other->isInternal(),
        ));
        $alike = array_filter(
            [...$others, ...$attached],
            static fn (Drive $other): bool => $other->size->count === $drive->size->count,
        );
        // Without a serial, or beside a twin, only being alone names it: everything else comes out.
        $alone = ! $drive->hasProof() || $alike !== [];
        $out = $alone
            ? [...$others, ...$attached]
            : array_values(array_filter($others, static fn (Drive $other): bool => ! $other->isBlank()));
        $decision = new Decision(
            'install.target',
            'Target drive',
            DriveWords::target($drive),
            [$because, self::proof($drive, $out !== [], $alike !== [])],
            self::refused($others, $out),
            [($drive->hasProof() ? 'serial and ' : '').$drive->size->exact()],
            'I1',
        );

        return new self($drive, $others, $out, [$decision], []);
    }

    /**
     * @param  list<Drive>  $others
     * @param  list<Drive>  $out
     * @return array<string, list<string>>
     */
    private static function refused(array $others, array $out): array
    {
        $refused = [];
        foreach ($others as $other) {
            $refused[DriveWords::full($other)] = [
                in_array($other, $out, true)
                    ? 'It comes out before anything is written.'
                    : 'It is blank and stays as it is.',
            ];
        }

        return $refused;
    }

    /** What makes sure that it is this drive and no other. */
    private static function proof(Drive $drive, bool $othersComeOut, bool $hasTwin): string
    {
        return match (true) {
            ! $drive->hasProof()
                && ! $othersComeOut => 'It reports no serial that is its own; it is the only drive the machine has, '
                    .'and its size is compared.',
            ! $drive->hasProof() => 'It reports no serial that is its own: everything else comes out, so that it is '
                .'the only drive left, and its size is compared.',
            $hasTwin => 'Another drive has the same size: everything else comes out, and it is confirmed by its '
                .'serial.',
            default => 'It is confirmed by its serial, not by its number in the installer.',
        };
    }

    private static function typed(Machine $machine, bool $read): self
    {
        $drive = self::described($machine, 'typed', null);
        if ($drive !== null) {
            return self::chosen($drive, [], $machine, 'Its serial and size were typed in.')->besides($machine);
        }
        $lead = $read ? 'The reading shows no internal drive. ' : '';
        $text = "{$lead}Which drive is inside? Start any live system on the machine and paste what "
            .'`lsblk -J -b` prints, or give serial and exact bytes.';

        return self::asked([], $text, 'the drive that will be erased and its layout to the sector');
    }

    /** The same where no drive was read: whether others are inside is asked, and where some are, they are read. */
    private function besides(Machine $machine): self
    {
        $said = $machine->fact(self::OTHERS);
        $decides = 'whether another drive could be written instead, and what comes out first';
        $asked = match (true) {
            $said->is('none') => [],
            $said->is('some') => [new Question(
                Question::DRIVE_READING,
                'Other drives are in it, or may be. Start any live system on the machine and paste what '
                    .'`lsblk -J -b` prints, so that the path says which come out.',
                [],
                $decides,
                'A1, I1',
                90,
                [Act::Erase],
            )],
            default => [FactQuestion::about(self::OTHERS, $decides, 'I1, U2', 88, [Act::Erase])],
        };

        return new self(
            $this->drive, $this->others, $this->out, $this->decisions, [...$this->questions, ...$asked],
            $this->blockers, $this->keeping,
        );
    }

    /** A drive of which serial and size were typed: nobody has read what is on it. */
    private static function described(Machine $machine, string $path, ?string $model): ?Drive
    {
        $serial = $machine->fact('target.serial')->value;
        $bytes = $machine->fact('target.bytes')->value;
        try {
            $size = is_int($bytes) || is_string($bytes) ? Bytes::parse($bytes) : null;
        } catch (InvalidQuantity) {
            return null;
        }

        return is_scalar($serial) && trim((string) $serial) !== '' && $size !== null && $size->count > 0
            ? new Drive($path, $size, trim((string) $serial), $model, detailed: false, sectorRead: false)
            : null;
    }
}
