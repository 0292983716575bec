<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Machine;
use DomainException;

/**
 * The changes one visit to the setup makes: needs minus what already is, in an order the settings' dependencies allow
 * (rule F3).
 */
final readonly class ChangePlan
{
    /**
     * @param  list<array{setting: Setting, need: Need, was: Fact}>  $changes
     * @param  list<NeedConflict>  $conflicts
     * @param  list<Setting>  $looks  assumed to be set as needed, so looked at and not changed
     */
    private function __construct(public array $changes, public array $conflicts = [], public array $looks = [])
    {
    }

    /**
     * @param  list<Need>  $needs
     *
     * @throws DomainException where dependencies form a loop
     */
    public static function of(Machine $machine, array $needs): self
    {
        $settings = self::settings($machine);
        $wanted = $conflicts = [];
        foreach ($needs as $need) {
            self::add($wanted, $need, $settings, []);
        }
        foreach ($wanted as $id => $several) {
            $met = self::common($several);
            if ($met !== null) {
                $wanted[$id] = $met;

                continue;
            }
            $title = $settings[$id]->title ?? Setting::undescribed((string) $id)->title;
            $conflicts[] = $conflict = new NeedConflict((string) $id, $title, $several);
            $wanted[$id] = $conflict->chosen($machine);
        }
        // What waits for a person's choice is left as it is.
        $wanted = array_filter($wanted);

        return self::outOf($wanted, $machine, $settings, $conflicts);
    }

    /**
     * @param  array<string, Need>  $wanted
     * @param  array<string, Setting>  $settings
     * @param  list<NeedConflict>  $conflicts
     */
    private static function outOf(
        array $wanted,
        Machine $machine,
        array $settings,
        array $conflicts,
    ): self {
        $changes = $looks = [];
        // A setting that a described model does not have cannot be looked at: what is assumed of it stands.
        foreach ($wanted as $id => $need) {
            $was = $machine->fact("firmware.{$id}");
            $absent = $settings !== [] && ! isset($settings[$id]);
            if ($was->is($need->value) && ($was->isKnown() || $absent || ! $need->weakens)) {
                // Nothing is set to what it is; what is only assumed is looked at. What is weakened for the job is
                // put back, so it counts.
                $looks =
                    $was->isKnown() || $absent ? $looks : [...$looks, $settings[$id] ?? Setting::undescribed($id)];
            } else {
                $changes[$id] = [
                    'setting' => $settings[$id] ?? Setting::undescribed($id),
                    'need' => $need,
                    'was' => $was,
                ];
            }
        }

        return new self(self::sorted($changes), $conflicts, $looks);
    }

    /** @return list<NeedConflict> those that nobody has decided yet */
    public function openConflicts(Machine $machine): array
    {
        return array_values(
            array_filter(
                $this->conflicts,
                static fn (NeedConflict $conflict): bool => $conflict->chosen($machine) === null,
            ),
        );
    }

    public function isEmpty(): bool
    {
        return $this->changes === [];
    }

    /** @return array<string, string> what is set then, named as facts of the machine */
    public function becomes(): array
    {
        $settings = [];
        foreach ($this->changes as $change) {
            $settings[$change['setting']->id === 'boot_order' ? 'order' : "firmware.{$change['setting']->id}"] =
                $change['need']->value;
        }

        return $settings;
    }

    /**
     * @return array<string, array<string, string>> for each change that only weakens for the job: what was set
     *     before, where that is known
     */
    public function before(): array
    {
        $before = [];
        foreach ($this->changes as $change) {
            $id = $change['setting']->id;
            if ($change['need']->weakens && ! $change['need']->stays) {
                $before[str_replace('_', '-', $id)] = match (true) {
                    $id === 'boot_order' => ['order' => 'drive first'],
                    ! $change['was']->isUnknown() => ["firmware.{$id}" => $change['was']->spoken()],
                    // What nobody recorded goes back to where protection is highest.
                    $id === 'secure_boot' => ["firmware.{$id}" => 'on'],
                    default => [],
                };
            }
        }

        return $before;
    }

    /** @return list<array<string, string>> rows of the table a person works through */
    public function rows(): array
    {
        return array_map(
            static fn (array $change): array => [
                'where' => $change['setting']->place === ''
                        ? $change['setting']->title
                        : "{$change['setting']->place} › {$change['setting']->title}",
                'was' => match (true) {
                    $change['was']->isUnknown() => 'look and record',
                    $change['was']->isKnown() => $change['was']->spoken(),
                    $change['was']->is($change['need']->value) => 'look and record',
                    default => "{$change['was']->spoken()} (assumed: look)",
                },
                'becomes' => $change['need']->value,
                'because' => $change['need']->because,
                'put back' => $change['need']->weakens && ! $change['need']->stays
                        ? 'at the end'
                        : ($change['need']->weakens
                            ? 'stays, signed'
                            : 'stays'),
            ],
            $this->changes,
        );
    }

    /**
     * @param  array<string, non-empty-list<Need>>  $wanted
     * @param  array<string, Setting>  $settings
     * @param  list<string>  $chain
     */
    private static function add(array &$wanted, Need $need, array $settings, array $chain): void
    {
        if (in_array($need->setting, $chain, true)) {
            throw new DomainException(
                'Firmware settings require each other in a loop: '.
                    implode(' → ', [...$chain, $need->setting]).
                    '. Mend "requires" in the machine\'s catalogue file.',
            );
        }
        $wanted[$need->setting][] = $need;
        $setting = $settings[$need->setting] ?? null;
        // To take protection away nothing has to be set before.
        if ($setting === null || $need->weakens) {
            return;
        }
        foreach ($setting->requires as $other => $value) {
            self::add(
                $wanted,
                new Need($other, $value, "{$setting->title} cannot be chosen before.", 'F2', whose: $need->whose),
                $settings,
                [...$chain, $need->setting],
            );
        }
    }

    /**
     * The need that meets all of them; null where no value does.
     *
     * @param  non-empty-list<Need>  $needs
     */
    private static function common(array $needs): ?Need
    {
        $values = array_values(
            array_intersect(...array_map(static fn (Need $need): array => $need->values(), [...$needs, $needs[0]])),
        );

        return $values === [] ? null : ($needs[0]->value === $values[0] ? $needs[0] : $needs[0]->as($values[0]));
    }

    /**
     * @param  array<string, array{setting: Setting, need: Need, was: Fact}>  $changes
     * @return list<array{setting: Setting, need: Need, was: Fact}>
     */
    private static function sorted(array $changes): array
    {
        uasort(
            $changes,
            static fn (array $a, array $b): int => [$a['setting']->rank(), $a['setting']->id] <=> [
                $b['setting']->rank(),
                $b['setting']->id,
            ],
        );
        $sorted = [];
        while ($changes !== []) {
            foreach ($changes as $id => $change) {
                if (array_intersect_key($change['setting']->requires, $changes) === []) {
                    $sorted[] = $change;
                    unset($changes[$id]);

                    continue 2;
                }
            }
            throw new DomainException(
                'Firmware settings require each other in a loop: '.implode(', ', array_keys($changes)).'.',
            );
        }

        return $sorted;
    }

    /** @return array<string, Setting> */
    private static function settings(Machine $machine): array
    {
        $settings = [];
        foreach (Setting::ofMachine($machine) as $setting) {
            $settings[$setting->id] = $setting;
        }

        return $settings;
    }
}
