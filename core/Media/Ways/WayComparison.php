<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Media\HostSpace;
use Cobblestone\Media\WriteMode;
use Cobblestone\Media\WriteTime;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Decision;
use Cobblestone\Storage\Scheme;

/** All ways from an image to a stick side by side, and the one the policy takes (rules M3–M6, M8, M9, M16). */
final class WayComparison
{
    /** @param  list<Way>  $ways */
    private function __construct(public readonly array $ways, public readonly ?Decision $decision)
    {
    }

    /** @param  Bytes|null  $stick  the size of the stick, where one is chosen */
    public static function of(WayInput $of, ?Bytes $stick, StickRates $rates, Policy $policy): self
    {
        $ways = [
            self::raw($of, $stick, $rates),
            self::copied(CopiedWay::Gpt, $of, $stick, $rates, $policy),
            self::copied(CopiedWay::Mbr, $of, $stick, $rates, $policy),
            self::copied(CopiedWay::BesideStorage, $of, $stick, $rates, $policy),
            self::twoPartitions($of, $stick, $rates, $policy),
        ];

        return new self($ways, WayChoice::decide($ways, $of, $policy));
    }

    public function way(string $key): ?Way
    {
        foreach ($this->ways as $way) {
            if ($way->key === $key) {
                return $way;
            }
        }

        return null;
    }

    private static function raw(WayInput $of, ?Bytes $stick, StickRates $rates): Way
    {
        $report = $of->report;
        $against = $report->canBeRaw() ? [] : [$report->starts('raw')];
        $bytes = $report->expanded();
        $need = $bytes === null ? null : Bytes::of($bytes);
        if ($need !== null && $stick !== null && $need->isMoreThan($stick)) {
            $against[] = "It needs {$need->decimal()}, the stick has {$stick->decimal()}.";
        }
        [$write, $verify] = $need === null
            ? [null, null]
            : [
                WriteTime::of($need, $rates->writing($report->compression !== null), Duration::seconds(0)),
                WriteTime::of($need, $rates->reading(), Duration::seconds(0)),
            ];
        $cannot = [
            ...($of->driverFiles > 0 ? ['Carries no drivers: they go onto a second stick.'] : []),
            'The rest of the stick stays unused.',
        ];

        return new Way(
            'raw',
            'Written raw',
            WriteMode::Raw,
            Scheme::Gpt,
            false,
            $against,
            $report->starts('raw'),
            $need,
            $write,
            $verify,
            WayCosts::pace($write, $verify),
            [
                ...($need === null ? ['How much comes out of the image is known only when it has been unpacked.'] : []),
                HostSpace::raw(Bytes::of($report->bytes))->describe(),
            ],
            $cannot);
    }

    private static function copied(
        CopiedWay $way,
        WayInput $of,
        ?Bytes $stick,
        StickRates $rates,
        Policy $policy,
    ): Way {
        [$report, $scheme, $storage] = [$of->report, $way->scheme(), $way === CopiedWay::BesideStorage];
        $against = $report->canBeCopied() ? [] : [$report->starts('copied')];
        foreach ($of->unsplittable() as $path) {
            $against[] = "{$path} has ".Bytes::of($of->tooLarge[$path])->exact()
                .', more than FAT32 can hold, and its installer does not join parts.';
        }
        $need = WayCosts::need($of, $storage, $policy);
        if ($against === [] && $stick !== null && $need->isMoreThan($stick)) {
            $against[] = "It needs {$need->decimal()} with the spare, the stick has {$stick->decimal()}.";
        }
        [$write, $verify] = WayCosts::times($of, $rates);
        $byHand = $of->ownSplitter && array_intersect_key($of->tooLarge, $of->parts) !== [];

        return new Way(
            $way->value,
            $way->title(),
            WriteMode::FilesCopied,
            $scheme,
            $storage,
            $against,
            $report->starts('copied'),
            $need,
            $write,
            $verify,
            WayCosts::pace($write, $verify),
            WayCosts::of($of, $policy, $byHand),
            WayCosts::cautions($scheme, $report, $storage),
            ! $byHand,
        );
    }

    /** Rule M5 (b): a small FAT32 partition to start from, the payload on a second one. */
    private static function twoPartitions(WayInput $of, ?Bytes $stick, StickRates $rates, Policy $policy): Way
    {
        $against = match (true) {
            ! $of->report->canBeCopied() => [$of->report->starts('copied')],
            $of->tooLarge === [] => ['No file is too large for FAT32: one partition will do.'],
            ! $of->elsewhere => ['Nobody knows that this installer looks for its payload on another partition.'],
            default => [],
        };
        [$write, $verify] = WayCosts::times($of, $rates);

        return new Way('two-partitions', 'Files copied, payload on a second partition',
            WriteMode::FilesCopied,
            Scheme::Gpt,
            false,
            $against,
            $of->report->starts('copied'),
            WayCosts::need($of, false, $policy),
            $write,
            $verify,
            WayCosts::pace($write, $verify),
            ['Filling the second partition means mounting it: that is done by hand, not by the builder here.'],
            ['Some firmware lists the stick twice.'],
            false);
    }
}
