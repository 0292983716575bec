<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Question;

/** Two needs that no one value of a setting meets: a decision of a person, never a silent choice (rule F3). */
final readonly class NeedConflict
{
    /** @param  non-empty-list<Need>  $needs */
    public function __construct(public string $setting, public string $title, public array $needs)
    {
    }

    public static function fact(string $setting): string
    {
        return "choice.{$setting}";
    }

    /** What a person chose; null while nobody has. */
    public function chosen(Machine $machine): ?Need
    {
        $choice = $machine->fact(self::fact($this->setting))->value;
        foreach ($this->needs as $need) {
            if ($need->value === $choice) {
                return $need;
            }
        }

        return null;
    }

    public function question(): Question
    {
        $options = [];
        foreach ($this->needs as $need) {
            $options[$need->value] = "{$need->value}: {$need->because}";
        }

        return new Question(
            self::fact($this->setting),
            "{$this->title} is needed in two ways. Which one counts?",
            $options,
            'which of the two has to give way; with the other value it will not start, and the rehearsal shows it',
            'F3',
            88,
            [Act::ChangeSettings],
        );
    }

    public function decision(Machine $machine): Decision
    {
        $chosen = $this->chosen($machine);
        $refused = [];
        foreach ($this->needs as $need) {
            if ($need !== $chosen) {
                $refused[$need->value] = [$need->because];
            }
        }

        return new Decision(
            "firmware.conflict.{$this->setting}",
            "{$this->title}, needed in two ways",
            $chosen->value ?? 'open: somebody has to choose',
            [$chosen->because ?? 'No value meets both needs.'],
            $refused,
            array_map(static fn (Need $need): string => "{$need->whose} needs {$need->value}", $this->needs),
            'F3',
        );
    }
}
