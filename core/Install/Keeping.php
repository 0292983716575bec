<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemPartition;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Document\Copy;
use Cobblestone\Firmware\DefaultsFirst;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\Question;
use Cobblestone\Storage\DeviceLayout;
use Cobblestone\Storage\DevicePart;
use Cobblestone\Storage\Extent;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;

/**
 * What stays on the target drive, what is deleted, and where the new partitions go between them (rules I2, I8).
 *
 * A partition is named by its first sector: numbers and letters differ from start to start.
 */
final readonly class Keeping
{
    /** First sectors of what stays, with commas; unknown or empty where the whole drive is laid out anew. */
    public const STAYS = 'target.stays';

    /** Which system stays, where one does: an identifier of the catalogue, or "another". */
    public const OTHER = DefaultsFirst::STAYING;

    /**
     * @param  list<Partition>  $kept  in the order on the drive
     * @param  list<Partition>  $deleted
     * @param  list<NewPartition>  $created  empty where there is no room, and a blocker says so
     * @param  Partition|null  $efi  the EFI system partition that stays and is used by both
     * @param  string|null  $other  name of the system that stays; null where only data does
     * @param  Bytes  $free  the room in which they are created
     * @param  list<Blocker>  $blockers
     * @param  list<Question>  $questions
     */
    public function __construct(
        public array $kept,
        public array $deleted,
        public array $created,
        public ?Partition $efi,
        public ?string $other,
        public Bytes $free,
        public array $blockers,
        public array $questions = [],
    ) {
    }

    /** Null where nothing stays. */
    public static function of(Machine $machine, SystemProfile $system, ?Drive $drive, Scheme $scheme): ?self
    {
        $said = WhatStays::read($machine->fact(self::STAYS)->text());
        $other = self::other($machine);
        if ($said->isNothing() && $other === null) {
            return null;
        }
        $stays = $said->sectors;
        $wrong = match (true) {
            $said->unreadable !== [] => self::illegible($said->unreadable),
            $said->isNothing() => self::noList(),
            default => self::unreadable($drive, $stays),
        };
        if ($drive === null || $wrong !== null) {
            return self::without([$wrong ?? self::unread()]);
        }
        $partitions = $drive->partitions;
        usort($partitions, static fn (Partition $a, Partition $b): int => $a->startSector <=> $b->startSector);
        $keeps = static fn (Partition $one): bool => in_array($one->startSector, $stays, true);
        $kept = array_values(array_filter($partitions, $keeps));
        $deleted = array_values(array_filter($partitions, static fn (Partition $one): bool => ! $keeps($one)));
        $rules = new KeepingRules($system, $drive, $scheme, $kept, $deleted);
        $gap = $rules->largestGap();
        $sector = SectorSize::from($drive->logicalSector);
        $created = $gap === null ? null : self::created($rules->wanted(), $gap, $sector);

        return new self(
            $kept,
            $deleted,
            $created ?? [],
            $rules->efi(),
            $other,
            Bytes::of(($gap->count ?? 0) * $drive->logicalSector),
            [
                ...$rules->blockers($other, $machine->fact('encryption.key')->text()),
                ...$created === null ? [$rules->noRoom($gap)] : $rules->against($created),
            ],
            $machine->fact('encryption.key')->isUnknown() ? $rules->asked() : [],
        );
    }

    /**
     * The same with the name of the system that stays.
     *
     * @param  array<array-key, SystemProfile>  $systems
     */
    public function naming(array $systems): self
    {
        $name = $this->other === null ? null : $systems[$this->other]->name ?? 'the other system';

        return Copy::of($this, get_object_vars($this), ['other' => $name]);
    }

    /** @return list<array<string, string>> what becomes of each partition, in the order on the drive afterwards */
    public function rows(): array
    {
        $rows = [];
        foreach ([...$this->kept, ...$this->deleted] as $one) {
            $rows[] = [(int) $one->startSector, [
                'partition' => $one->title(),
                'size' => "{$one->size->decimal()}, or {$one->size->binary()}",
                'begins at sector' => (string) $one->startSector,
                'becomes' => match (true) {
                    $one === $this->efi => 'stays, and is used by the new system too: do not format it',
                    in_array($one, $this->kept, true) => 'stays as it is',
                    default => 'deleted',
                },
            ]];
        }
        foreach ($this->created as $one) {
            $rows[] = [$one->extent->first, [
                'partition' => $one->wanted->name,
                'size' => "{$one->size->decimal()}, or {$one->size->binary()}",
                'begins at sector' => "about {$one->extent->first}",
                'becomes' => 'made new'.($one->wanted->fileSystem === 'none' ? '' : ", {$one->wanted->fileSystem}"),
            ]];
        }
        usort($rows, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($rows, 1);
    }

    /** The drive as it will be. */
    public function layout(Scheme $scheme, Drive $drive): DeviceLayout
    {
        $parts = array_map(static fn (NewPartition $one): DevicePart => $one->part(), $this->created);
        foreach ($this->kept as $one) {
            $sectors = intdiv($one->size->count, $drive->logicalSector);
            $place = [$one->startSector, $sectors, $one->size->count, $one->fileSystem];
            $parts[] = new DevicePart($one->title(), 'old', ...$place);
        }
        usort($parts, static fn (DevicePart $a, DevicePart $b): int => $a->firstSector <=> $b->firstSector);

        return new DeviceLayout($scheme->value, $drive->logicalSector, $parts);
    }

    /** What the system itself gets; null where there is no room. */
    public function room(): ?Bytes
    {
        foreach ($this->created as $one) {
            if ($one->wanted->role === 'system') {
                return $one->size;
            }
        }

        return null;
    }

    /** @param  list<Blocker>  $blockers */
    private static function without(array $blockers): self
    {
        return new self([], [], [], null, null, Bytes::of(0), $blockers);
    }

    /** @param  non-empty-list<string>  $words */
    private static function illegible(array $words): Blocker
    {
        $shown = implode('", "', array_map(static fn (string $word): string => mb_substr($word, 0, 40), $words));

        return Blocker::narrow(
            'stays-illegible',
            "What is to stay on the drive cannot be read: \"{$shown}\" is no first sector of a partition. "
                .'Until it can, nothing on the drive is deleted.',
            'I2, U3',
            [Act::Erase, Act::WriteSystem],
            self::door('Tick anew what stays.'),
            [self::STAYS],
        );
    }

    private static function noList(): Blocker
    {
        return Blocker::narrow(
            'stays-no-list',
            'Another system is said to stay, and nobody has said which partitions are its.',
            'I8, U3',
            [Act::Erase, Act::WriteSystem],
            self::door('Tick its partitions, or say that no system stays.'),
            [self::OTHER],
        );
    }

    private static function other(Machine $machine): ?string
    {
        $said = $machine->fact(self::OTHER)->text();

        return in_array($said, ['', 'none'], true) ? null : $said;
    }

    /** @param  list<int>  $stays */
    private static function unreadable(?Drive $drive, array $stays): ?Blocker
    {
        $starts = array_map(static fn (Partition $one): ?int => $one->startSector, $drive->partitions ?? []);
        if ($drive === null || ! $drive->detailed || in_array(null, $starts, true)) {
            return self::unread();
        }
        $gone = array_diff($stays, $starts);

        return $gone === [] ? null : Blocker::narrow(
            'stays-changed',
            'What was to stay at sector '.implode(', ', $gone).' is not there in the newest reading.',
            'I2, K2',
            [Act::Erase, Act::WriteSystem],
            self::door('Say anew what stays.'),
            [self::STAYS.' = '.implode(', ', $stays)],
        );
    }

    /** What stays is said where the partitions are listed. */
    public static function door(string $does): Door
    {
        return Door::page('partitions', $does);
    }

    private static function unread(): Blocker
    {
        return Blocker::narrow(
            'stays-unread',
            'Something is to stay on the drive, and no reading says where its partitions begin.',
            'I2',
            [Act::Erase, Act::WriteSystem],
            Door::reading('lsblk', 'Paste `lsblk -J -b -o +START,PARTTYPE,FSUSED` of the drive.'),
        );
    }

    /**
     * @param  list<SystemPartition>  $wanted
     * @return list<NewPartition>|null  null where they do not fit
     */
    private static function created(array $wanted, Extent $gap, SectorSize $sector): ?array
    {
        $mebi = $sector->perMebi();
        $fixed = 0;
        foreach ($wanted as $one) {
            $fixed += ($one->mebibytes ?? 0) * $mebi;
        }
        $rest = intdiv($gap->count - $fixed, $mebi) * $mebi;
        if ($rest < $mebi) {
            return null;
        }
        $at = $gap->first;
        $created = [];
        foreach ($wanted as $one) {
            $count = $one->mebibytes === null ? $rest : $one->mebibytes * $mebi;
            $created[] = new NewPartition($one, new Extent($at, $count), $sector->bytes($count));
            $at += $count;
        }

        return $created;
    }
}
