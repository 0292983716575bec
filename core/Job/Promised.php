<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Assessment\KnownTroubles;
use Cobblestone\Catalogue\SystemReads;
use Cobblestone\Firmware\MemoryNeed;
use Cobblestone\Firmware\Setting;
use Cobblestone\Job\Path\CardDriverSteps;
use Cobblestone\Job\Path\PathDraft;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\DisplayScale;
use Cobblestone\Tuning\Proof\PromisedSetting;
use Cobblestone\Tuning\Proof\Promises;
use Cobblestone\Tuning\Proof\ReadBack;
use Cobblestone\Tuning\Proof\RowId;

/**
 * What a path promises of the machine at its readings: what was read before, and what its own stones change of that,
 * in their order (rule T1).
 */
final readonly class Promised
{
    /** What the memory profile is set to where the modules run as fast as they can. */
    private const RATED = 'rated';

    /** The power limit that was agreed on for every day. */
    public const EVERYDAY = 'power.everyday_w';

    /** Share: 59.94 is called 60 by one system and 59 by another. */
    private const HZ = 0.02;

    /** @param  list<Step>  $steps  in their order, up to the readings */
    private function __construct(private array $steps, private JobContext $context, private PathDraft $draft)
    {
    }

    /**
     * @param  list<Step>  $ordered
     * @return list<Step> the same, its readings with a row for everything that is promised
     */
    public static function on(array $ordered, JobContext $context, PathDraft $draft): array
    {
        $steps = [];
        foreach ($ordered as $at => $step) {
            $steps[] = $step->id === Acceptance::STEP
                ? Acceptance::widened($step, (new self(array_slice($ordered, 0, $at), $context, $draft))
                    ->promises($step))
                : $step;
        }

        return $steps;
    }

    private function promises(Step $readings): Promises
    {
        $changes = $this->changes();
        $devices = new PromisedDevices($this->context, $this->draft);
        [$gone, $come, $versions, $lanes] = $devices->card($this->does(Act::FitPart));
        $system = $this->context->system;

        return new Promises(
            $this->context->machine,
            $this->settings($changes),
            [...$devices->drivers(), ...$versions],
            $devices->bare(),
            $gone,
            $come,
            $this->drives($readings),
            $changes['firmware.version'] ?? $this->known('firmware.version'),
            isset($changes['firmware.version']),
            $this->rate($changes),
            $this->encrypted(),
            $lanes,
            $this->installs() ? $system?->build : null,
            $this->installs() && $system?->activation === true,
            $system->reads ?? new SystemReads(),
            $system === null ? [] : KnownTroubles::of($this->context->machine, $system, $this->context->image)
                ->byFunction(),
            $this->does(Act::FitPart) && $this->context->brief->card !== null ? $this->picture() : null,
            $this->installs() && ($screen = $this->context->machine->model?->screen) !== null
                ? DisplayScale::of($screen, $this->context->machine->kind)
                : null,
            is_numeric($everyday = $this->context->machine->fact(self::EVERYDAY)->value) ? (int) $everyday : null,
        );
    }

    /** Of the owner's screen where that is known; else what it was when the card was proven. */
    private function picture(): Expected
    {
        $most = $this->context->machine->fact(CardDriverSteps::RATE)->value;

        return is_numeric($most) && $most > 0
            ? new Expected((string) (int) $most, self::HZ, atLeast: true)
            : Expected::asIn(CardDriverSteps::PROVEN, CardDriverSteps::PICTURE, self::HZ);
    }

    /** @return array<string, string> fact => what it is after the last stone that changes it */
    private function changes(): array
    {
        $changes = [];
        foreach ($this->steps as $step) {
            foreach ($step->boots as $event) {
                $changes = [...$changes, ...$event->changes];
            }
        }

        return $changes;
    }

    /**
     * Settings that the path changes and that nothing puts back later; what is loaded and entered again at an update
     * is what was there before.
     *
     * @param  array<string, string>  $changes
     * @return list<PromisedSetting>
     */
    private function settings(array $changes): array
    {
        $settings = [];
        foreach ($changes as $fact => $value) {
            if (str_starts_with($fact, 'firmware.') && $fact !== 'firmware.version') {
                $settings[substr($fact, 9)] = $value;
            }
        }
        if (isset($changes['defaults'])) {
            foreach (Setting::ofMachine($this->context->machine) as $setting) {
                $was = $this->known("firmware.{$setting->id}");
                $settings += $was === null ? [] : [$setting->id => $was];
            }
        }
        // What a running system tells is looked at again at no cost, though nothing was to change it.
        foreach (array_diff(ReadBack::SETTINGS, array_keys($settings)) as $id) {
            $was = $this->known("firmware.{$id}");
            $settings += $was === null ? [] : [$id => $was];
        }
        $titles = array_column(Setting::ofMachine($this->context->machine), 'title', 'id');

        return array_map(
            static fn (string $id): PromisedSetting => new PromisedSetting(
                $id,
                $titles[$id] ?? Setting::usual($id)->title,
                $settings[$id],
            ),
            array_map(strval(...), array_keys($settings)),
        );
    }

    /**
     * @return list<Drive> inside and named, without the one that has its row already; after a swap the old ones are
     *     kept apart
     */
    private function drives(Step $readings): array
    {
        $there = array_map(static fn (Evidence $one): string => $one->id, $readings->evidence);

        return $this->does(Act::FitPart) && $this->context->brief->card === null ? [] : array_values(array_filter(
            $this->context->machine->internalDrives(),
            static fn (Drive $drive): bool => ! in_array(RowId::drive($drive), [null, ...$there], true),
        ));
    }

    /**
     * The rate of a profile that the path sets, else what the modules are set to now.
     *
     * @param  array<string, string>  $changes
     */
    private function rate(array $changes): ?int
    {
        $fitted = array_filter(
            $this->context->machine->modules,
            static fn (MemoryModule $one): bool => ! $one->isEmpty(),
        );
        $rates = array_filter(array_map(
            ($changes['firmware.memory_profile'] ?? '') === self::RATED
                ? static fn (MemoryModule $one): ?int => $one->ratedTransfers
                : static fn (MemoryModule $one): ?int => $one->setTransfers,
            $fitted,
        ));
        $complete = $rates !== [] && count($rates) === count($fitted);
        $profile = $changes['firmware.memory_profile'] ?? null;
        $printed = $this->context->machine->fact(MemoryNeed::PRINTED)->value;

        return match (true) {
            $profile !== null && $profile !== self::RATED => null,
            $complete => min($rates),
            default => $profile === self::RATED && is_numeric($printed) ? (int) $printed : null,
        };
    }

    /** By the decision of this path, else as the drive was, where its system stays. */
    private function encrypted(): ?bool
    {
        $decisions = array_values(array_filter(
            $this->draft->contribution->decisions,
            static fn (Decision $one): bool => $one->id === 'install.encryption',
        ));
        $was = $this->context->machine->fact('drive.encryption');

        return match (true) {
            $decisions !== [] => str_starts_with($decisions[0]->chosen, 'on'),
            $this->installs() || ! $was->isKnown() => null,
            default => match ($was->value) {
                'none' => false,
                'unknown', 'key-in-clear' => null,
                default => true,
            },
        };
    }

    private function installs(): bool
    {
        return array_filter(
            $this->steps,
            static fn (Step $step): bool => $step->bringsAbout(PathFact::SYSTEM_INSTALLED),
        ) !== [];
    }

    /** Whether a stone before the readings does that. */
    private function does(Act $act): bool
    {
        return array_filter($this->steps, static fn (Step $step): bool => $step->does($act)) !== [];
    }

    private function known(string $fact): ?string
    {
        $value = $this->context->machine->fact($fact);

        return $value->isKnown() && is_scalar($value->value) ? $value->text() : null;
    }
}
