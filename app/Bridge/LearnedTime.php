<?php

declare(strict_types=1);

namespace App\Bridge;

use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\TimesSeen;
use stdClass;

/** How long a stone took on a model with a system, as the logbook lists it. */
final readonly class LearnedTime
{
    /** @param  list<string>  $out  times that are too far off to count */
    private function __construct(
        public string $model,
        public string $machine,
        public string $system,
        public string $title,
        public int $many,
        public string $middle,
        public string $range,
        public array $out,
    ) {
    }

    public static function of(stdClass $row): self
    {
        $said = static fn (int $seconds): string => Duration::seconds($seconds)->label();
        $all = array_map(intval(...), array_values((array) json_decode((string) $row->seconds, true)));
        $out = TimesSeen::outliers($all);
        $kept = array_values(array_diff($all, $out));
        sort($kept);

        return new self(
            (string) $row->model,
            (string) $row->name,
            (string) $row->system,
            (string) $row->title,
            count($kept),
            $said($kept[intdiv(count($kept) - 1, 2)] ?? 0),
            implode(' to ', array_unique([$said($kept[0] ?? 0), $said($kept[count($kept) - 1] ?? 0)])),
            array_map($said, $out),
        );
    }

    /** What it is used for. */
    public function standing(): string
    {
        return "paths go by it, {$this->many} to ".TimesSeen::PULL.' with what is worked out'.
            ($this->out === [] ? '' : '; left out: '.implode(', ', $this->out));
    }
}
