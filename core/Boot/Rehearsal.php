<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Boot\Emulated\EmulatedAs;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Seal;
use Cobblestone\Boot\Model\BootDevice;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Measurement;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Wants;

/** Plays a path's power-ons through the model of its machine, one after the other (rule B, J4). */
final class Rehearsal
{
    private BootState $state;

    /** What was set before the first step: what "put back" goes back to. */
    private readonly BootState $first;

    private function __construct(private readonly BootScene $scene)
    {
        $this->first = $this->state = $scene->state;
    }

    /**
     * @param  list<Step>  $steps  in the order they are walked
     * @return list<PowerOn>
     */
    public static function run(BootScene $scene, array $steps): array
    {
        $rehearsal = new self($scene);
        $starts = [];
        foreach ($steps as $step) {
            $number = 0;
            foreach ($step->boots as $event) {
                if ($event->wants === null) {
                    $rehearsal->change($event->changes);

                    continue;
                }
                $starts[] = $rehearsal->start($step, ++$number, $event->wants, $event->by);
            }
        }

        return $starts;
    }

    private function start(Step $step, int $number, Wants $wants, string $by): PowerOn
    {
        if ($wants === Wants::Setup) {
            return PowerOn::intoSetup($step, $number);
        }
        $chosen = match (true) {
            $by === BootEvent::BY_MENU => 'stick',
            $wants === Wants::Recovery && $this->state->device('recovery') !== null => 'recovery',
            default => null,
        };
        $possible = Possibilities::of($this->state->choosing($chosen));
        $start = PowerOn::of($step, $number, $wants, $by, $possible, $this->scene->quirks);
        $as = $wants !== Wants::Installer ? null : EmulatedAs::of(
            $this->state->facts,
            $this->state->trusted,
            $this->state->switches,
        );
        $this->passed($possible);

        return $start->emulatedAs($as);
    }

    /** What a start leaves behind: a suspended protection counts down, whatever was measured. */
    private function passed(Possibilities $possible): void
    {
        $device = $possible->likeliest()->device;
        $device = $device === null ? null : $this->state->device($device);
        if ($device?->medium->seal !== null) {
            $this->state = $this->state->withDevice(
                $device->with($device->medium->sealed($device->medium->seal->started())),
            );
        }
    }

    /** @param  array<string, string>  $changes */
    private function change(array $changes): void
    {
        foreach ($changes as $what => $value) {
            match ($what) {
                'stick' => $this->plug($value === 'in'),
                'stick.content' => $this->fill('stick', $this->scene->stick),
                'target' => $this->target($value),
                'others' => $this->others($value === 'in'),
                'order' => $this->order($value),
                'encryption' => $this->encryption($value),
                'defaults' => $this->defaults($value),
                default => ($this->state = $this->state->knowing([$what => $value])),
            };
        }
    }

    private function plug(bool $in): void
    {
        $stick = $this->state->device('stick');
        $this->state = $stick === null ? $this->state : $this->state->withDevice($stick->with(attached: $in));
    }

    private function fill(string $id, ?Medium $medium): void
    {
        $device = $this->state->device($id);
        $this->state =
            $device === null || $medium === null ? $this->state : $this->state->withDevice($device->with($medium));
    }

    private function target(string $what): void
    {
        if ($what === 'blank' || $what === 'erased') {
            $this->fill(BootScene::TARGET, Medium::blank());

            return;
        }
        $this->fill(BootScene::TARGET, $this->scene->system?->sealed(null));
        if ($this->scene->systemEntry !== null) {
            $this->state = $this->state->entered(
                new BootEntry(
                    'system',
                    $this->scene->systemEntry->title,
                    BootScene::TARGET,
                    $this->scene->systemEntry->partition,
                    $this->scene->systemEntry->path,
                ),
            );
        }
    }

    private function others(bool $in): void
    {
        foreach ($this->state->devices as $device) {
            if (
                $device->kind === BootDevice::DRIVE &&
                ! in_array($device->id, [BootScene::TARGET, 'recovery'], true)
            ) {
                $this->state = $this->state->withDevice($device->with(attached: $in));
            }
        }
    }

    private function order(string $what): void
    {
        $rest = array_values(array_diff($this->state->order, ['stick']));
        $this->state = $this->state->ordered($what === 'stick first' ? ['stick', ...$rest] : [...$rest, 'stick']);
    }

    private function encryption(string $what): void
    {
        if ($what === 'bound') {
            $this->bind();

            return;
        }
        foreach ($this->state->devices as $device) {
            $seal = $device->medium->seal;
            if ($seal === null) {
                continue;
            }
            $changed = match (true) {
                str_starts_with($what, 'suspended') => $seal->suspendedFor((int) substr($what, 10)),
                $what === 'resumed' => $seal->resumed(Measurement::of($this->state)),
                default => null,
            };
            $this->state = $this->state->withDevice($device->with($device->medium->sealed($changed)));
        }
    }

    /**
     * A new system encrypts its drive by itself: bound to Secure Boot where that is in force, to everything measured
     * where it is not.
     */
    private function bind(): void
    {
        $target = $this->state->device(BootScene::TARGET);
        if ($target !== null && $target->medium->leads === Leads::WantedSystem) {
            $now = Measurement::of($this->state);
            $this->state = $this->state->withDevice(
                $target->with(
                    $target->medium->sealed(
                        new Seal(
                            Protection::Chip,
                            $now['secure boot'] === 'in force' ? Binding::Keys : Binding::Measured,
                            $now,
                        ),
                    ),
                ),
            );
        }
    }

    /** Loaded by an update, or entered again as they were before the first step. */
    private function defaults(string $what): void
    {
        $facts =
            $what === 'loaded'
                ? $this->scene->defaults
                : array_intersect_key($this->first->facts, $this->scene->defaults);
        $this->state = $this->state->knowing($facts);
        if ($what !== 'loaded') {
            $this->state = $this->state->ordered([
                ...array_values(array_intersect($this->first->order, $this->state->order)),
                ...array_values(array_diff($this->state->order, $this->first->order)),
            ]);
        }
    }
}
