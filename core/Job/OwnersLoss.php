<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Install\Keeping;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Partition;

/** What becomes of the drive with the owner's data, as they are told of it (rules J9, I8). */
final readonly class OwnersLoss
{
    public DriveFate $fate;

    public function __construct(DriveFate $fate, public ?Drive $drive, public ?Keeping $keeping = null)
    {
        $this->fate = match (true) {
            $fate === DriveFate::Erased && $drive?->isBlank() === true => DriveFate::Empty,
            $fate === DriveFate::Erased && $keeping !== null => DriveFate::PartlyErased,
            default => $fate,
        };
    }

    /** @return list<string> "Old system (238.3 GiB)" */
    public function deleted(): array
    {
        return self::said($this->keeping->deleted ?? []);
    }

    /** @return list<string> */
    public function kept(): array
    {
        return self::said($this->keeping->kept ?? []);
    }

    /**
     * @param  list<Partition>  $partitions
     * @return list<string>
     */
    private static function said(array $partitions): array
    {
        return array_map(
            static fn (Partition $one): string => $one->sized(),
            $partitions,
        );
    }
}
