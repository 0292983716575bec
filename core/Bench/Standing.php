<?php

declare(strict_types=1);

namespace Cobblestone\Bench;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** How a job stands when a shift ends, from its summary; nothing that somebody typed. */
final readonly class Standing
{
    /**
     * @param  string|null  $next  title of the stone that is next; null where none is
     * @param  string  $state  of that stone: ready, running, trouble
     * @param  list<array{title: string, until: int}>  $away  until: seconds since 1970, as long as it likely takes
     * @param  string|null  $waits  for whom or what
     * @param  int  $putBack  what is still to be put back
     */
    private function __construct(
        public bool $complete,
        public ?string $next,
        public string $state,
        public array $away,
        public ?string $waits,
        public int $putBack,
    ) {
    }

    /** @throws FieldFault where it is no summary */
    public static function of(Fields $summary): self
    {
        $current = $summary->optionalBlock('current');
        $waiting = $summary->optionalBlock('waiting');
        $for = $waiting?->string('for');

        return new self(
            $summary->has('complete') && $summary->bool('complete'),
            $current?->string('title'),
            $current?->string('state') ?? '',
            array_values(array_map(static fn (Fields $one): array => [
                'title' => $one->string('title'),
                'until' => $one->int('started_at') + $one->int('likely'),
            ], $summary->blocks('away'))),
            $for === null ? null : Reminders::WAITING_FOR[$for] ?? $for,
            $summary->int('put_back'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    /** @throws FieldFault */
    public static function read(Fields $kept): self
    {
        return new self(
            $kept->bool('complete'),
            $kept->optionalString('next'),
            $kept->string('state'),
            array_values(array_map(static fn (Fields $one): array => [
                'title' => $one->string('title'),
                'until' => $one->int('until'),
            ], $kept->blocks('away'))),
            $kept->optionalString('waits'),
            $kept->int('putBack'),
        );
    }
}
