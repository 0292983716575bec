<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Source;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Step;
use Cobblestone\Text\Lowered;

/**
 * Settings begun from the firmware's defaults instead of from what somebody left: a school of the bench (rule F3). Only
 * after they were recorded, and never under a system that stays and was installed with them.
 */
final readonly class DefaultsFirst
{
    /** The fact that says which system stays on the target drive. */
    public const STAYING = 'target.other_system';

    private const SCHOOL = 'firmware_start';

    /** @param  array<string, string>  $defaults  fact of a setting => its default; empty where it begins elsewhere */
    private function __construct(private array $defaults, private ?Decision $decision)
    {
    }

    public static function of(Machine $machine, Policy $policy): self
    {
        if (! self::isWanted($policy)) {
            return new self([], null);
        }
        $defaults = [];
        foreach ($machine->settings() as $setting) {
            $defaults[$setting->fact()] = $setting->default;
        }
        $stays = ! in_array($machine->fact(self::STAYING)->text(), ['', 'none'], true);
        $against = match (true) {
            $stays => 'A system stays that was installed with the present settings.',
            $defaults === [] => 'Nobody has described the defaults of this model.',
            default => null,
        };

        return new self($against === null ? $defaults : [], self::decision($against));
    }

    public static function isWanted(Policy $policy): bool
    {
        return $policy->school(self::SCHOOL) === 'defaults';
    }

    public function isMeant(): bool
    {
        return $this->defaults !== [];
    }

    /** The machine as it stands once they are loaded. */
    public function loaded(Machine $machine): Machine
    {
        $facts = $machine->facts;
        foreach ($this->defaults as $fact => $value) {
            $facts = $facts->with(Fact::of($fact, $value, Source::Person, 'the defaults, just loaded'));
        }

        return $this->isMeant() ? $machine->withFacts($facts) : $machine;
    }

    /** The stone that sets, begun from the defaults. */
    public function before(Step $set, ChangePlan $changes): Step
    {
        $count = count($changes->changes);

        return $set->with([
            'title' => $count === 0 ? 'Load the defaults' : 'Load the defaults, then set '.
                ($count === 1 ? Lowered::of($changes->changes[0]['setting']->title) : "{$count} settings"),
            'time' => Estimate::minutes(1, 2, 6)->plus($set->time),
            'instructions' => [
                'Find the entry that loads the defaults, and load them.',
                $count === 0 ? 'Save and leave.' : 'Then change what the table says, in one visit; save and leave.',
            ],
            'rows' => [
                [
                    'where' => 'the entry that loads the defaults',
                    'was' => 'as recorded',
                    'becomes' => 'loaded',
                    'because' => 'The bench begins from the defaults.',
                    'put back' => 'stays',
                ],
                ...$set->rows,
            ],
            'boots' => [BootEvent::change([...$this->defaults, ...$changes->becomes()])],
        ]);
    }

    /** @return list<Decision> */
    public function decisions(): array
    {
        return $this->decision === null ? [] : [$this->decision];
    }

    private static function decision(?string $against): Decision
    {
        return new Decision(
            'firmware.start',
            'Where the settings start from',
            $against === null ? 'the firmware\'s defaults' : 'what is set now',
            [$against ?? 'What somebody left cannot surprise; what was set is on record.'],
            [],
            ['school firmware_start = defaults'],
            'F3',
        );
    }
}
