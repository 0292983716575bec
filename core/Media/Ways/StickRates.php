<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Catalogue\Stick;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\DataRate;

/** What sets the pace between an image and a stick (rule M9). */
final readonly class StickRates
{
    /** What a stick that nobody has measured is taken for, in MB/s: a slow one. */
    private const UNMEASURED_WRITE = 20;

    private const UNMEASURED_READ = 60;

    public function __construct(public DataRate $write, public DataRate $read, private Policy $policy)
    {
    }

    /** @param  Stick|null  $stick  as it is now: what was learned of its rates is in its entry */
    public static function of(?Stick $stick, Policy $policy): self
    {
        return new self(
            $stick?->writeRate() ?? DataRate::megabytes(self::UNMEASURED_WRITE),
            $stick?->readRate() ?? DataRate::megabytes(self::UNMEASURED_READ),
            $policy,
        );
    }

    /** @return non-empty-array<string, DataRate> */
    public function writing(bool $packed): array
    {
        return [
            'the stick' => $this->write,
            'the bench computer\'s drive' => DataRate::megabytes($this->policy->figure('host_read_mb_s')),
            'the bench computer\'s port' => DataRate::megabytes($this->policy->figure('host_port_mb_s')),
            ...$packed ? ['unpacking' => DataRate::megabytes($this->policy->figure('expand_mb_s'))] : [],
        ];
    }

    /** @return non-empty-array<string, DataRate> */
    public function reading(): array
    {
        return [
            'the stick' => $this->read,
            'the bench computer\'s port' => DataRate::megabytes($this->policy->figure('host_port_mb_s')),
            'comparing checksums' => DataRate::megabytes($this->policy->figure('hash_mb_s')),
        ];
    }

    public function perFile(int $files): float
    {
        return $files * $this->policy->figure('seconds_per_file');
    }
}
