<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Machine;
use DomainException;

/** The changes one visit to the setup makes: needs minus what already is, in an order the settings' dependencies allow (rule F3). */
final readonly class ChangePlan
{
    /** @param  list<array{setting: Setting, need: Need, was: Fact}>  $changes */
    private function __construct(public array $changes)
    {
    }

    /**
     * @param  list<Need>  $needs
     *
     * @throws DomainException where two needs want different values, or dependencies form a loop
     */
    public static function of(Machine $machine, array $needs): self
    {
        $settings = self::settings($machine);
        $wanted = [];
        foreach ($needs as $need) {
            self::add($wanted, $need, $settings, []);
        }
        $changes = [];
        // A setting that a described model does not have cannot be looked at: what is assumed of it stands.
        foreach ($wanted as $id => $need) {
            $was = $machine->fact("firmware.{$id}");
            $absent = $settings !== [] && ! isset($settings[$id]);
            if (! ($was->is($need->value) && ($was->isKnown() || $absent))) {
                $changes[$id] = ['setting' => $settings[$id] ?? Setting::undescribed($id), 'need' => $need, 'was' => $was];
            }
        }

        return new self(self::sorted($changes));
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
            $settings[$change['setting']->id === 'boot_order' ? 'order' : "firmware.{$change['setting']->id}"] = $change['need']->value;
        }

        return $settings;
    }

    /** @return array<string, array<string, string>> for each change that only weakens for the job: what was set before, where that is known */
    public function before(): array
    {
        $before = [];
        foreach ($this->changes as $change) {
            $id = $change['setting']->id;
            if ($change['need']->weakens && ! $change['need']->stays) {
                $before[str_replace('_', '-', $id)] = $id === 'boot_order' ? ['order' => 'drive first'] : ["firmware.{$id}" => $change['was']->isUnknown() ? 'on' : $change['was']->spoken()];
            }
        }

        return $before;
    }

    /** @return list<array<string, string>> rows of the table a person works through */
    public function rows(): array
    {
        return array_map(static fn (array $change): array => [
            'where' => $change['setting']->place === '' ? $change['setting']->title : "{$change['setting']->place} › {$change['setting']->title}",
            'was' => match (true) {
                $change['was']->isUnknown() => 'look and record',
                $change['was']->isKnown() => $change['was']->spoken(),
                default => "{$change['was']->spoken()} (assumed: look)",
            },
            'becomes' => $change['need']->value,
            'put back' => $change['need']->weakens && ! $change['need']->stays ? 'at the end' : ($change['need']->weakens ? 'stays, signed' : 'stays'),
        ], $this->changes);
    }

    /**
     * @param  array<string, Need>  $wanted
     * @param  array<string, Setting>  $settings
     * @param  list<string>  $chain
     */
    private static function add(array &$wanted, Need $need, array $settings, array $chain): void
    {
        if (in_array($need->setting, $chain, true)) {
            throw new DomainException('Firmware settings require each other in a loop: '.implode(' → ', [...$chain, $need->setting]).'. Mend "requires" in the machine\'s catalogue file.');
        }
        $present = $wanted[$need->setting] ?? null;
        if ($present !== null && $present->value !== $need->value) {
            throw new DomainException("Firmware setting {$need->setting} is wanted as \"{$present->value}\" ({$present->because}) and as \"{$need->value}\" ({$need->because}).");
        }
        $wanted[$need->setting] ??= $need;
        $setting = $settings[$need->setting] ?? null;
        foreach ($setting->requires ?? [] as $other => $value) {
            self::add($wanted, new Need($other, (string) $value, "{$setting->title} cannot be chosen before.", 'F2'), $settings, [...$chain, $need->setting]);
        }
    }

    /**
     * @param  array<string, array{setting: Setting, need: Need, was: Fact}>  $changes
     * @return list<array{setting: Setting, need: Need, was: Fact}>
     */
    private static function sorted(array $changes): array
    {
        uasort($changes, static fn (array $a, array $b): int => [$a['setting']->rank(), $a['setting']->id] <=> [$b['setting']->rank(), $b['setting']->id]);
        $sorted = [];
        while ($changes !== []) {
            foreach ($changes as $id => $change) {
                if (array_intersect_key($change['setting']->requires, $changes) === []) {
                    $sorted[] = $change;
                    unset($changes[$id]);

                    continue 2;
                }
            }
            throw new DomainException('Firmware settings require each other in a loop: '.implode(', ', array_keys($changes)).'.');
        }

        return $sorted;
    }

    /** @return array<string, Setting> */
    private static function settings(Machine $machine): array
    {
        $settings = [];
        foreach ($machine->model['firmware']['settings'] ?? [] as $entry) {
            $settings[$entry['id']] = Setting::fromArray($entry);
        }

        return $settings;
    }
}
