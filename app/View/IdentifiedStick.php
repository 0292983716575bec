<?php

declare(strict_types=1);

namespace App\View;

use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;

/** A stick that somebody holds, and what it is worth now. */
final readonly class IdentifiedStick
{
    public Stick $stick;

    private StickState $state;

    public StickCondition $condition;

    public string $by;

    public bool $older;

    /** @var array<int, string> */
    public array $jobs;

    /**
     * @param  array{stick: Stick, state: StickState, condition: StickCondition, by: string, older: bool,
     *     jobs: array<int, string>}  $found
     */
    public function __construct(array $found)
    {
        ['stick' => $this->stick, 'state' => $this->state, 'condition' => $this->condition] = $found;
        ['by' => $this->by, 'older' => $this->older, 'jobs' => $this->jobs] = $found;
    }

    public function contents(): string
    {
        return $this->state->said('title') ?: $this->stick->contents ?? 'Nobody has noted what is on it.';
    }

    /** When it was proven; empty where it was not built here. */
    public function built(): string
    {
        $at = $this->state->said('built_at');

        return $at === '' ? '' : Words::moment($at);
    }

    /** Class of the panel: how it stands there. */
    public function mood(): string
    {
        return match ($this->condition) {
            StickCondition::Good => 'holds-panel',
            StickCondition::Spoiled, StickCondition::Retired, StickCondition::Unfinished => 'stop-panel',
            default => '',
        };
    }
}
