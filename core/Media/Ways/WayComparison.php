<?php

declare(strict_types=1);

namespace Cobblestone\Media\Ways;

use Cobblestone\Catalogue\ImageFiles;
use Cobblestone\Media\HostSpace;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\StickNeed;
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
            self::copied('copied-gpt', 'Files copied, GPT', Scheme::Gpt, false, $of, $stick, $rates, $policy),
            self::copied('copied-mbr', 'Files copied, MBR', Scheme::Mbr, false, $of, $stick, $rates, $policy),
            self::copied('copied-storage', 'Files copied, beside a storage '
                .'partition', Scheme::Gpt, true, $of, $stick, $rates, $policy),
            self::twoPartitions($of, $stick, $rates, $policy),
        ];

        return new self($ways, self::decide($ways, $of, $policy));
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
        [$write, $verify] = $need === null ? [null, null] : [WriteTime::of($need, $rates->writing($report->compression !== null), Duration::seconds(0)), WriteTime::of($need, $rates->reading(), Duration::seconds(0))];
        $cannot = [...($of->driverFiles > 0 ? ['Carries no drivers: they go onto a second '
            .'stick.'] : []), 'The rest of the stick stays unused.'];

        return new Way('raw', 'Written raw', WriteMode::Raw, Scheme::Gpt, false, $against, $report->starts('raw'), $need, $write, $verify, self::pace($write, $verify),
            [...($need === null ? ['How much comes out of the image is known only when it has been '
                .'unpacked.'] : []), HostSpace::raw(Bytes::of($report->bytes))->describe()], $cannot);
    }

    private static function copied(string $key, string $title, Scheme $scheme, bool $storage, WayInput $of, ?Bytes $stick, StickRates $rates, Policy $policy): Way
    {
        $report = $of->report;
        $against = $report->canBeCopied() ? [] : [$report->starts('copied')];
        foreach ($of->unsplittable() as $path) {
            $against[] = "{$path} has ".Bytes::of($of->tooLarge[$path])->exact().', more than FAT32 can hold, and '
                .'its installer does not join parts.';
        }
        $need = self::need($of, $storage, $policy);
        if ($against === [] && $stick !== null && $need->isMoreThan($stick)) {
            $against[] = "It needs {$need->decimal()} with the spare, the stick has {$stick->decimal()}.";
        }
        [$write, $verify] = self::times($of, $rates);
        $costs = [];
        foreach ($of->tooLarge as $path => $bytes) {
            if (isset($of->parts[$path])) {
                $costs[] = "{$path} is split into ".Bytes::of($bytes)->portions(Bytes::mebi((int) $policy->figure('part_mebibytes'))).' parts of at most '.(int) $policy->figure('part_mebibytes').' MiB.';
            }
        }
        $split = array_intersect_key($of->tooLarge, $of->parts) !== [];
        if ($split && $of->ownSplitter) {
            $costs[] = 'Its parts are cut by the system\'s own splitter: only the exported script makes this stick.';
        }
        $costs[] = HostSpace::copied(Bytes::of($report->bytes), Bytes::of($report->files['bytes'] ?? 0), Bytes::of($report->files['largest']['bytes'] ?? 0))->describe();
        $cannot = array_values(array_filter([
            $scheme === Scheme::Gpt && $report->legacy['copied'] !== false ? 'Starts no machine the old way.' : '',
            $scheme === Scheme::Mbr && $report->legacy['copied'] !== false ? 'The old way needs a boot sector of '
                .'its own, which is not put there: it starts by UEFI only.' : '',
            $storage ? 'Survives only tools that write to one partition: "whole stick" in any other tool takes the '
                .'storage with it.' : '',
        ]));

        return new Way($key, $title, WriteMode::FilesCopied, $scheme, $storage, $against, $report->starts('copied'), $need, $write, $verify, self::pace($write, $verify), $costs, $cannot, ! ($split && $of->ownSplitter));
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
        [$write, $verify] = self::times($of, $rates);

        return new Way('two-partitions', 'Files copied, payload on a second '
            .'partition', WriteMode::FilesCopied, Scheme::Gpt, false, $against, $of->report->starts('copied'), self::need($of, false, $policy), $write, $verify, self::pace($write, $verify),
            ['Filling the second partition means mounting it: that is done by hand, not by the builder '
                .'here.'], ['Some firmware lists the stick twice.'], false);
    }

    private static function need(WayInput $of, bool $storage, Policy $policy): Bytes
    {
        $files = $of->report->files ?? ['count' => 0, 'directories' => 0, 'bytes' => 0];
        $counted = new ImageFiles($files['count'], $files['directories'], $files['bytes']);
        $need = StickNeed::of($counted, $of->drivers, $of->driverFiles);

        return $storage ? $need->besideStorage() : $need->wholeStick($policy->figure('stick_spare'));
    }

    /** @return array{0: WriteTime, 1: WriteTime} */
    private static function times(WayInput $of, StickRates $rates): array
    {
        $bytes = Bytes::of($of->report->files['bytes'] ?? 0)->plus($of->drivers);
        $perFile = Duration::seconds((int) ceil($rates->perFile(($of->report->files['count'] ?? 0) + $of->driverFiles)));

        return [WriteTime::of($bytes, $rates->writing(false), $perFile), WriteTime::of($bytes, $rates->reading(), $perFile)];
    }

    private static function pace(?WriteTime $write, ?WriteTime $verify): string
    {
        return $write === null || $verify === null ? 'not known before it is '
            .'unpacked' : "writing: {$write->limit}, {$write->rate->label()}; reading "
            ."back: {$verify->limit}, {$verify->rate->label()}";
    }

    /** @param  list<Way>  $ways */
    private static function decide(array $ways, WayInput $of, Policy $policy): ?Decision
    {
        $possible = array_values(array_filter($ways, static fn (Way $way): bool => $way->isPossible() && $way->buildable));
        if ($possible === []) {
            return null;
        }
        $school = $policy->school('scheme');
        $order = $of->driverFiles > 0 || ! $of->report->canBeRaw() ? [] : ['raw'];
        $order = [...$order, ...($school === 'widest' ? ['copied-mbr', 'copied-gpt'] : ['copied-gpt', 'copied-mbr']), 'raw', 'copied-storage'];
        usort($possible, static fn (Way $a, Way $b): int => array_search($a->key, $order, true) <=> array_search($b->key, $order, true));
        $chosen = $possible[0];
        $refused = [];
        foreach ($ways as $way) {
            if ($way !== $chosen) {
                $refused[$way->title] = $way->isPossible() ? [$way->buildable ? self::whyNot($way, $chosen, $school) : $way->costs[0]] : $way->against;
            }
        }

        return new Decision('media.way', 'How the stick is '
            .'made', $chosen->title, [self::why($chosen, $of->report, $of->driverFiles)], $refused, ['policy scheme '
            ."= {$school}", $of->driverFiles === 1 ? '1 driver file goes '
            .'along' : "{$of->driverFiles} driver files go along"], 'M3');
    }

    private static function why(Way $way, ImageReport $report, int $drivers): string
    {
        return match (true) {
            $way->mode === WriteMode::Raw && $drivers === 0 => 'The image is meant to be written as it is, and '
                .'nothing else has to go along.',
            $way->mode === WriteMode::Raw => 'Its files cannot be copied; the drivers go onto a second stick.',
            $report->canBeRaw() => 'The drivers have to go along, and copied files can be checked one by one.',
            default => 'The image is not meant to be written as it is.',
        };
    }

    private static function whyNot(Way $way, Way $chosen, string $school): string
    {
        return match (true) {
            $way->storage => 'Possible; the storage partition has to be wanted.',
            $way->mode === WriteMode::Raw => 'Possible, but it carries no drivers.',
            $chosen->mode === WriteMode::Raw => 'Possible, but the image brings its own start paths.',
            default => "Possible, but the policy for the scheme is \"{$school}\".",
        };
    }
}
