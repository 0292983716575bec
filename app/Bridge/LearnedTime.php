<?php

declare(strict_types=1);

namespace App\Bridge;

use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\TimesSeen;
use stdClass;

/** How long a stone took on a model with a system, as the logbook lists it. */
final readonly class LearnedTime
{
    private function __construct(
        public string $model,
        public string $machine,
        public string $system,
        public string $title,
        public int $many,
        public string $middle,
        public string $range,
    ) {
    }

    public static function of(stdClass $row): self
    {
        $said = static fn (mixed $seconds): string => Duration::seconds((int) $seconds)->label();

        return new self(
            (string) $row->model,
            (string) $row->name,
            (string) $row->system,
            (string) $row->title,
            (int) $row->many,
            $said($row->middle),
            $said($row->least).' to '.$said($row->most),
        );
    }

    /** What it is used for. */
    public function standing(): string
    {
        $missing = TimesSeen::ENOUGH - $this->many;

        return match (true) {
            $missing > 0 => $missing === 1 ? 'one more, and paths go by it' : "{$missing} more, and paths go by it",
            default => 'paths go by it',
        };
    }
}
