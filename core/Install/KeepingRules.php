<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemPartition;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Partition;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Question;
use Cobblestone\Storage\Extent;
use Cobblestone\Storage\PartitionType;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\SectorSize;

/** What has to hold so that something may stay on a drive beside the new system (rules I2, I8). */
final readonly class KeepingRules
{
    /** Room that another system's start files take in an EFI system partition that is shared (default). */
    public const LOADER_MIB = 32;

    private const MBR_MOST = 4;

    private const NO_SYSTEM = [PartitionType::EfiSystem, PartitionType::Reserved, PartitionType::Recovery];

    private const TABLES = ['gpt' => Scheme::Gpt, 'dos' => Scheme::Mbr];

    /**
     * @param  list<Partition>  $kept  in the order on the drive, each with its first sector
     * @param  list<Partition>  $deleted
     */
    public function __construct(
        private SystemProfile $system,
        private Drive $drive,
        private Scheme $scheme,
        private array $kept,
        private array $deleted,
    ) {
    }

    /** The EFI system partition that stays; null where none does. */
    public function efi(): ?Partition
    {
        return $this->first($this->kept, PartitionType::EfiSystem);
    }

    /** @return list<SystemPartition> what the profile makes and nothing that stays does already */
    public function wanted(): array
    {
        $has = [
            'efi' => $this->scheme === Scheme::Mbr || $this->efi() !== null,
            'reserved' => $this->scheme === Scheme::Mbr ||
                $this->first($this->kept, PartitionType::Reserved) !== null,
        ];

        return array_values(array_filter(
            $this->system->partitions,
            static fn (SystemPartition $one): bool => ! ($has[$one->role] ?? false),
        ));
    }

    /** The largest room between what stays, in whole MiB; of several as large the first; null where there is none. */
    public function largestGap(): ?Extent
    {
        $sector = SectorSize::from($this->drive->logicalSector);
        $mebi = $sector->perMebi();
        $at = $mebi;
        $largest = null;
        $end = $this->scheme->lastUsable($sector, $sector->sectorsIn($this->drive->size)) + 1;
        foreach ([...$this->kept, null] as $next) {
            $until = intdiv($next === null ? $end : (int) $next->startSector, $mebi) * $mebi;
            if ($until - $at > ($largest->count ?? 0)) {
                $largest = new Extent($at, $until - $at);
            }
            $sectors = $next === null ? 0 : intdiv($next->size->count, $this->drive->logicalSector);
            $past = intdiv((int) $next?->startSector + $sectors + $mebi - 1, $mebi) * $mebi;
            // An extended partition holds others: what begins inside it does not make room before its end.
            $at = max($at, $past);
        }

        return $largest;
    }

    public function noRoom(?Extent $gap): Blocker
    {
        $mebi = array_sum(array_map(static fn (SystemPartition $one): int => $one->mebibytes ?? 1, $this->wanted()));
        $has = Bytes::of(($gap->count ?? 0) * $this->drive->logicalSector);

        return $this->shut(
            'stays-no-room',
            "Between what stays the largest room is {$has->binary()}; {$this->system->name} wants at least "
                .Bytes::mebi((int) $mebi)->binary().'.',
            ["room = {$has->exact()}"],
            'Let more be deleted, or lay out the whole drive.',
        );
    }

    /**
     * @param  string|null  $other  the system that stays
     * @param  string  $key  whether the recovery key of what is encrypted lies ready: yes, no, or empty while unknown
     * @return list<Blocker>
     */
    public function blockers(?string $other, string $key): array
    {
        $lost = $this->first($this->deleted, PartitionType::EfiSystem);
        $table = self::TABLES[strtolower($this->drive->table ?? '')] ?? null;

        return array_values(array_filter([
            $table === $this->scheme ? null : $this->otherTable($table),
            $other !== null && $lost !== null && $this->efi() === null ? $this->loaderLost($lost) : null,
            $this->tooSmall(),
            $other === null || $this->holdsSystem() ? null : $this->noSystem(),
            $key === 'no' ? $this->locked() : null,
        ]));
    }

    /**
     * What speaks against the partitions as they would be made.
     *
     * @param  list<NewPartition>  $created
     * @return list<Blocker>
     */
    public function against(array $created): array
    {
        $count = count($this->kept) + count($created);
        $takes = Bytes::of($this->system->installedBytes ?? 0);
        foreach ($created as $one) {
            if ($one->wanted->role === 'system' && $takes->isMoreThan($one->size)) {
                return [$this->shut(
                    'stays-too-tight',
                    "{$this->system->name} would get {$one->size->binary()} between what stays, and takes about "
                        ."{$takes->binary()}.",
                    [$this->system->dated()],
                    'Let more be deleted, or lay out the whole drive.',
                )];
            }
        }

        return $this->scheme === Scheme::Gpt || $count <= self::MBR_MOST ? [] : [$this->shut(
            'stays-too-many',
            'Its table holds '.self::MBR_MOST." partitions, and there would be {$count}.",
            [],
            'Let more be deleted, or lay out the whole drive.',
        )];
    }

    private function holdsSystem(): bool
    {
        return array_filter($this->kept, fn (Partition $one): bool => $one !== $this->efi() &&
            ! in_array(PartitionType::fromGuid((string) $one->type), self::NO_SYSTEM, true)) !== [];
    }

    private function noSystem(): Blocker
    {
        return $this->shut(
            'stays-no-system',
            'A system is said to stay, and nothing that is ticked can hold one.',
            [Keeping::OTHER],
            'Tick its partition too, or say that only data stays.',
        );
    }

    /** @return list<Partition> kept, and encrypted as far as anybody can tell */
    private function sealed(): array
    {
        return array_values(array_filter(
            $this->kept,
            static fn (Partition $one): bool => $one->encrypted || $one->untold,
        ));
    }

    /** @return list<Question> what has to be known of what stays while nobody has said it */
    public function asked(): array
    {
        $decides = 'whether what is encrypted may stay: once the drive is changed it may ask for its key';

        return $this->sealed() === [] ? [] : [
            FactQuestion::about('encryption.key', $decides, 'I8, A7', 71, [Act::Erase, Act::WriteSystem]),
        ];
    }

    private function locked(): ?Blocker
    {
        $locked = $this->sealed();

        $untold = array_filter($locked, static fn (Partition $one): bool => $one->untold) !== [];

        return $locked === [] ? null : $this->shut(
            'stays-locked',
            implode(', ', array_map(static fn (Partition $one): string => $one->sized(), $locked)).' stays and is '
                .'encrypted'.($untold ? ', or of a kind that this bench does not know' : '').'. Once the drive is '
                .'changed it may ask for its recovery key, and nobody has it at hand.',
            ['encryption.key'],
            'Have it copied, and let it not stay.',
        );
    }

    private function otherTable(?Scheme $table): Blocker
    {
        $is = $table === null ? 'no table that can be read' : $table->title();

        return $this->shut(
            'stays-other-table',
            "The drive has {$is}, and {$this->system->name} starts here from {$this->scheme->title()}: nothing can "
                .'stay.',
            ['drive.table = '.($this->drive->table ?? 'unknown')],
            'Lay out the whole drive, after a copy of what is wanted.',
        );
    }

    private function loaderLost(Partition $efi): Blocker
    {
        return $this->shut(
            'stays-loader-lost',
            "The other system stays, and the partition it starts from ({$efi->title()}, {$efi->size->binary()}) would "
                .'be deleted: it would not start any more.',
            [Keeping::OTHER],
            'Let that one stay too.',
        );
    }

    /** A shared EFI system partition has to be as large as the profile wants, with room for one more loader. */
    private function tooSmall(): ?Blocker
    {
        $efi = $this->efi();
        $wanted = null;
        foreach ($this->system->partitions as $one) {
            $wanted = $one->role === 'efi' ? $one : $wanted;
        }
        if ($efi === null || $wanted === null || $this->scheme === Scheme::Mbr) {
            return null;
        }
        $least = Bytes::mebi($wanted->keptMebibytes ?? $wanted->mebibytes ?? 0);
        $left = $efi->used === null ? null : max(0, $efi->size->count - $efi->used->count);
        $short = match (true) {
            $least->isMoreThan($efi->size) => "it has {$efi->size->binary()}, {$least->binary()} are wanted",
            $left !== null && $left < Bytes::mebi(self::LOADER_MIB)->count => Bytes::of($left)->binary()
                .' of it are free, '.self::LOADER_MIB.' MiB are wanted',
            default => null,
        };

        return $short === null ? null : $this->shut(
            'stays-efi-too-small',
            "The EFI system partition that stays is too small for one more system: {$short}.",
            [$this->system->dated()],
            'Lay out the whole drive, after a copy of what is wanted.',
        );
    }

    /** @param  list<string>  $facts */
    private function shut(string $id, string $reason, array $facts, string $does): Blocker
    {
        $door = Keeping::door($does);

        return Blocker::narrow($id, $reason, 'I2, I8', [Act::Erase, Act::WriteSystem], $door, $facts);
    }

    /** @param  list<Partition>  $among */
    private function first(array $among, PartitionType $type): ?Partition
    {
        foreach ($among as $one) {
            $is = PartitionType::fromGuid((string) $one->type);
            if ($is === $type || ($type === PartitionType::EfiSystem && (string) $one->type === '0xef')) {
                return $one;
            }
        }

        return null;
    }
}
