<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\DataRate;

/** What sets the pace between an image and a stick (rule M9). */
final readonly class StickRates
{
    public function __construct(public DataRate $write, public DataRate $read, private Policy $policy)
    {
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
