<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Emulated;

use Cobblestone\Quantity\Bytes;

/** Memory and drive of an emulated machine that stands for one on the bench (rule K6). */
final readonly class EmulatedParts
{
    /** A bench computer lends no more than this, in MiB; firmware and installers of the kind start with less. */
    public const MOST_MEMORY = 1024;

    public const LEAST_MEMORY = 256;

    /** Where nobody knows how much it has. */
    public const USUAL_MEMORY = 512;

    /**
     * @param  int|null  $memory  bytes that the machine has; null where nobody knows
     * @param  int  $lentMib  MiB that the emulated one gets
     * @param  int|null  $driveBytes  exact bytes of the drive that the system goes onto; null: no drive
     */
    private function __construct(
        public ?int $memory,
        public int $lentMib,
        public ?int $driveBytes,
        public DriveBus $bus,
    ) {
    }

    /** @param  string|null  $transport  as a reading of the drive names it */
    public static function like(?int $memory, ?int $driveBytes, ?string $transport): self
    {
        $mib = $memory === null ? self::USUAL_MEMORY : intdiv($memory, Bytes::mebi(1)->count);

        return new self(
            $memory,
            max(self::LEAST_MEMORY, min(self::MOST_MEMORY, $mib)),
            $driveBytes,
            $transport === 'nvme' ? DriveBus::Nvme : DriveBus::Sata,
        );
    }
}
