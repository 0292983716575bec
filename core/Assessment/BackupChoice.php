<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Brief\BackupBlock;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Brief\ExistingBackup;
use Cobblestone\Machine\Drive;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Quantity\InvalidQuantity;
use Cobblestone\Runbook\Decision;
use Cobblestone\Text\Counted;

/** Which copy is made before anything is erased, and what it costs. */
final class BackupChoice
{
    public static function decision(
        bool $rescue,
        string $destination,
        string $size,
        bool $starts,
        Policy $policy,
    ): Decision {
        return new Decision('assess.backup', 'Backup', $rescue ? "rescue to {$destination}, then "
            .'verify' : "copy to {$destination} and verify",
            [
                $size,
                'It goes to another physical drive than the one erased.',
                ...(
                    $rescue
                        ? ['The drive is failing: every hour it runs may cost data, so this comes before everything.']
                        : []
                ),
                ...($starts ? [] : ['The old system does not start, so a live system does the copying.']),
            ],
            ['no backup' => ['The owner has data to keep, or nobody has said otherwise.']],
            ['owner.keep', "margin {$policy->figure('backup_margin')}"],
            'A6');
    }

    public static function onceMore(ExistingBackup $proven): Decision
    {
        return new Decision(
            'assess.backup',
            'Backup',
            "the one of {$proven->date}, looked at once more",
            [
                "It was proven on {$proven->date}"
                    .(
                        ($proven->samples ?? 0) > 0
                            ? ', '.Counted::of((int) $proven->samples, 'sample').' opened.'
                            : '.'
                    ),
                'What came since then is not in it: the owner says what that is.',
            ],
            ['copy everything again' => ['A proven copy is there already.']],
            ["backup of {$proven->date}"],
            'A6',
        );
    }

    public static function time(BackupBlock $wish, ?Bytes $bytes, Policy $policy): Estimate
    {
        if ($bytes === null) {
            return Estimate::minutes(20, 60, 240);
        }
        $rate = DataRate::megabytes(min(
            $wish->sourceMbS ?? INF,
            $wish->destination->mbS ?? BackupPlan::UNMEASURED_MB_S,
        ));
        $perFile = Duration::seconds((int) ceil(($wish->files ?? 0) * $policy->figure('seconds_per_file')));

        return Estimate::around($rate->timeFor($bytes)->plus($perFile));
    }

    public static function size(BackupBlock $wish, ?Bytes $bytes, ?Bytes $need): string
    {
        if ($bytes === null) {
            return 'The size is not known yet: measure the folders first.';
        }
        $of = $wish->files === null
            ? 'the used part of the drive'
            : number_format($wish->files, 0, '.', ' ').' files';

        return "{$bytes->decimal()} in {$of}, {$need?->decimal()} with the margin.";
    }

    public static function bytes(BackupBlock $wish, ?Drive $target): ?Bytes
    {
        try {
            return $wish->bytes === null ? $target?->used() : Bytes::parse($wish->bytes);
        } catch (InvalidQuantity $e) {
            throw BriefFault::at('backup.bytes', $e->getMessage());
        }
    }
}
