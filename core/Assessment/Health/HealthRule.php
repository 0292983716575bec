<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Health;

use Cobblestone\Machine\HealthReading;

/** One line of the catalogue's health table: a figure, when it counts, and what it means (rule A5). */
final readonly class HealthRule
{
    private function __construct(
        public string $figure,
        public string $title,
        public string $when,
        public ?int $than,
        public ?string $thanFigure,
        public HealthGrade $grade,
        public string $because,
    ) {
    }

    /** @param  array<string, mixed>  $entry an entry of the health catalogue's "rules" */
    public static function fromArray(array $entry): self
    {
        return new self((string) $entry['figure'], $entry['title'], $entry['when'], is_int($entry['than'] ?? null) ? $entry['than'] : null, is_string($entry['than'] ?? null) ? $entry['than'] : null, HealthGrade::from($entry['grade']), $entry['because']);
    }

    /**
     * The deciding fact in words where the rule applies, else null.
     *
     * @param  HealthReading|null  $before  an earlier reading of the same drive
     */
    public function applies(HealthReading $now, ?HealthReading $before): ?string
    {
        $value = $now->figure($this->figure);
        if ($value === null) {
            return null;
        }
        $was = $before?->figure($this->figure);
        $limit = $this->thanFigure === null ? $this->than : $now->figure($this->thanFigure);
        $holds = match ($this->when) {
            'rising' => $was !== null && $value > $was,
            'stable' => $value > ($limit ?? 0) && ($was === null || $value <= $was),
            'above' => $limit !== null && $value > $limit,
            'below' => $limit !== null && $value < $limit,
            'at-least' => $limit !== null && $value >= $limit,
            default => false,
        };
        if (! $holds) {
            return null;
        }
        $grown = $this->when === 'rising' ? ", {$was} at the reading before" : '';
        // One reading cannot say that a figure stands still.
        $because = $this->when === 'stable' && $was === null ? 'Only one reading: a second reading in some days shows whether it rises.' : $this->because;

        return "{$this->title}: {$value}{$grown}. {$because}";
    }
}
