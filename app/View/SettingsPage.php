<?php

declare(strict_types=1);

namespace App\View;

use App\Models\FirmwareSnapshot;
use Cobblestone\Firmware\MemoryProfile;
use Cobblestone\Firmware\Setting;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Machine\SecureBootState;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Illuminate\Support\Collection;

/** Settings of a machine: what has to become of them, what is set now, what was set before. */
final readonly class SettingsPage
{
    /**
     * @param  list<Setting>  $settings
     * @param  Collection<int, FirmwareSnapshot>  $snapshots  newest first
     * @param  array{from: FirmwareSnapshot, to: FirmwareSnapshot, rows: list<array{setting: string,
     *     was: string|null, is: string|null}>}|null  $compared
     * @param  list<array{module: MemoryModule, ways: list<MemoryProfile>}>  $modules
     */
    public function __construct(
        public Plan $plan,
        public Machine $machine,
        public array $settings,
        public Collection $snapshots,
        public ?array $compared,
        public array $modules,
        public ?UpdatePage $update,
    ) {
    }

    /** Whether a setting that is wanted stands against another one, and somebody has to choose. */
    public function hasConflict(): bool
    {
        return array_filter(
            $this->plan->questions,
            static fn (Question $question): bool => str_starts_with($question->fact, 'choice.'),
        ) !== [];
    }

    /** @return list<Step> stones at which settings change */
    public function steps(): array
    {
        return array_values(
            array_filter($this->plan->steps, static fn (Step $step): bool => $step->does(Act::ChangeSettings)),
        );
    }

    public function secureBoot(): ?Decision
    {
        return $this->plan->decision('firmware.secure-boot');
    }

    /** "Secure Boot is in force." */
    public function inForce(): string
    {
        return match ($this->force()->inForce) {
            true => 'Secure Boot is in force.',
            false => 'Secure Boot is not in force.',
            null => 'Secure Boot in force: not known.',
        };
    }

    public function inForceBecause(): string
    {
        return $this->force()->because;
    }

    /** @return list<string> what was not understood of the newest snapshot */
    public function notes(): array
    {
        return $this->snapshots->first()->notes ?? [];
    }

    /**
     * @return list<array{setting: Setting, needs: string, set: string, certainty: string, from: string}>
     */
    public function rows(): array
    {
        return array_map(function (Setting $setting): array {
            $fact = $this->machine->fact("firmware.{$setting->id}");

            return [
                'setting' => $setting,
                'needs' => $setting->requires === [] ? '' : "needs {$this->values($setting->requires)}",
                'set' => $fact->spoken(),
                'certainty' => $fact->certainty->value,
                'from' => $fact->origin.($fact->at ? ', '.Words::moment($fact->at) : ''),
            ];
        }, $this->settings);
    }

    /** A line as it may be pasted. */
    public function example(): string
    {
        $first = $this->settings[0] ?? null;

        return ($first->title ?? 'Start mode').': '.($first->values[0] ?? 'uefi');
    }

    /** @return list<array{id: int, at: string, by: string, set: string, photo: bool, from: bool, to: bool}> */
    public function taken(): array
    {
        $from = $this->compared['from']->id ?? $this->snapshots->last()?->id;
        $to = $this->compared['to']->id ?? $this->snapshots->first()?->id;

        return array_values($this->snapshots->map(fn (FirmwareSnapshot $one): array => [
            'id' => $one->id,
            'at' => Words::time($one->created_at),
            'by' => $one->user->title.', '.($one->origin === 'paste' ? 'pasted' : 'chosen'),
            'set' => $one->settings === [] ? 'a photo only' : $this->values($one->settings),
            'photo' => $one->photo !== null,
            'from' => $one->id === $from,
            'to' => $one->id === $to,
        ])->all());
    }

    /** @return array{between: string, rows: list<array{setting: string, was: string, is: string}>}|null */
    public function difference(): ?array
    {
        return $this->compared === null ? null : [
            'between' => Words::time($this->compared['from']->created_at).' to '.
                Words::time($this->compared['to']->created_at),
            'rows' => array_map(fn (array $row): array => [
                'setting' => $this->title($row['setting']),
                'was' => $row['was'] ?? 'not read',
                'is' => $row['is'] ?? 'not read',
            ], $this->compared['rows']),
        ];
    }

    /** @return list<array{slot: string, set: string, ways: list<string>}> what a module's rate is made from */
    public function memory(): array
    {
        return array_map(static fn (array $row): array => [
            'slot' => $row['module']->slot,
            'set' => "rated at {$row['module']->ratedTransfers}, set to ".
                ($row['module']->setTransfers ?? 'not known').' million transfers a second.',
            'ways' => $row['ways'] === []
                ? ['No multiplier of 100 or 133⅓ MHz meets that rate exactly: choose the profile.']
                : array_map(static fn (MemoryProfile $way): string => $way->sentence(), $row['ways']),
        ], $this->modules);
    }

    private function force(): SecureBootState
    {
        return SecureBootState::of($this->machine->facts);
    }

    /** @param  array<string, string>  $values  setting => value */
    private function values(array $values): string
    {
        return implode(', ', array_map(
            fn (string $id, string $value): string => "{$this->title($id)} {$value}",
            array_keys($values),
            $values,
        ));
    }

    private function title(string $id): string
    {
        foreach ($this->settings as $setting) {
            if ($setting->id === $id) {
                return $setting->title;
            }
        }

        return $id;
    }
}
