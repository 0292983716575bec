<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Boot\Model\Outcome;
use Cobblestone\Brief\SeenStart;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/**
 * What really happened at a power-on, against what was predicted: the figure of accuracy, the quirks of a model, the
 * first thing to try next (rule B).
 */
final class Reality
{
    /** Where a stick does not show up in the list, in this order (rule F9). */
    private const NOT_LISTED = 'Not in the list, in this order: another port on the board; written for the other '
        .'mode; USB start off in the setup; the firmware\'s fast start; another stick.';

    /**
     * @param  list<array{predicted: string, seen: string}>  $observations
     * @return array{right: int, of: int, percent: float|null}
     */
    public static function accuracy(array $observations): array
    {
        $right = count(
            array_filter($observations, static fn (array $one): bool => $one['predicted'] === $one['seen']),
        );

        return [
            'right' => $right,
            'of' => count($observations),
            'percent' => $observations === [] ? null : round((100 * $right) / count($observations), 1),
        ];
    }

    /**
     * What a model was seen to do otherwise, as often as somebody said so.
     *
     * @param  list<array{wants: string, predicted: string, seen: string}>  $observations  those that were said of the
     *     model
     * @return list<Quirk> the most frequent first
     */
    public static function quirks(array $observations): array
    {
        $counts = [];
        foreach ($observations as $one) {
            if ($one['predicted'] !== $one['seen']) {
                $counts["{$one['wants']} {$one['predicted']} {$one['seen']}"] =
                    ($counts["{$one['wants']} {$one['predicted']} {$one['seen']}"] ?? 0) + 1;
            }
        }
        arsort($counts);
        $quirks = [];
        foreach ($counts as $key => $times) {
            [$wants, $predicted, $seen] = explode(' ', $key);
            $quirks[] = new Quirk(Wants::from($wants), Outcome::from($predicted), Outcome::from($seen), $times);
        }

        return $quirks;
    }

    /**
     * What can be chosen as having happened, the likelier first; what was predicted is not among them.
     *
     * @param  list<Outcome>  $possible
     * @return list<Outcome>
     */
    public static function choices(Wants $wants, Outcome $predicted, array $possible): array
    {
        $usual = match ($wants) {
            Wants::Installer => [
                Outcome::InstallerStarts,
                Outcome::RefusedBySecureBoot,
                Outcome::NoBootableDevice,
                Outcome::OldSystemStarts,
                Outcome::Silent,
                Outcome::LoaderStopped,
                Outcome::StopsInSetup,
                Outcome::RecoveryKeyPrompt,
                Outcome::InstallerSeesNoDrive,
                Outcome::StickUnreadable,
            ],
            Wants::NextPart, Wants::System => self::starts(),
            Wants::Recovery => [
                Outcome::RecoveryStarts,
                Outcome::OldSystemStarts,
                Outcome::RecoveryKeyPrompt,
                Outcome::Silent,
                Outcome::StopsInSetup,
            ],
            Wants::Setup => [
                Outcome::StopsInSetup,
                Outcome::OldSystemStarts,
                Outcome::Silent,
                Outcome::RecoveryKeyPrompt,
            ],
        };
        $all = [];
        foreach ([...$possible, ...$usual] as $outcome) {
            if ($outcome !== $predicted) {
                $all[$outcome->value] = $outcome;
            }
        }

        return array_values($all);
    }

    /**
     * @return list<Outcome>
     */
    private static function starts(): array
    {
        return [
            Outcome::WantedSystemStarts,
            Outcome::NoBootableDevice,
            Outcome::InstallLoop,
            Outcome::RecoveryKeyPrompt,
            Outcome::Silent,
            Outcome::RefusedBySecureBoot,
            Outcome::StopsInSetup,
            Outcome::OldSystemStarts,
            Outcome::RecoveryStarts,
        ];
    }

    /**
     * What a start that ended so has taught about this machine and this stick, as facts of the job.
     *
     * @param  Binding|null  $boundTo  what its encrypted volume was taken to be bound to
     * @return array<string, string>
     */
    public static function teaches(Outcome $seen, ?Binding $boundTo): array
    {
        return match (true) {
            $seen === Outcome::RefusedBySecureBoot => ['stick.refused' => 'yes', 'firmware.secure_boot' => 'on'],
            // It asked although nothing it was thought to be bound to had changed.
            $seen === Outcome::RecoveryKeyPrompt && $boundTo === Binding::Keys => ['encryption.binding' => 'measured'],
            default => [],
        };
    }

    /**
     * A step at which something else happened begins with what mends that.
     *
     * @param  list<SeenStart>  $seen  newest last
     */
    public static function advise(Step $step, array $seen): Step
    {
        $lines = [];
        foreach (array_reverse($seen) as $one) {
            $outcome = Outcome::tryFrom($one->outcome);
            if ($one->step !== $step->id || $outcome === null) {
                continue;
            }
            $fix = Advice::forOutcome($outcome);
            $lines = [
                "Last time: {$outcome->title()}. ".
                ($outcome === Outcome::NoBootableDevice || $outcome === Outcome::OldSystemStarts
                    ? self::NOT_LISTED
                    : "First: {$fix->fix}"),
            ];
            break;
        }

        return $lines === [] ? $step : $step->instructed([...$lines, ...$step->instructions]);
    }
}
