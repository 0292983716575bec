<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\HealthReading;

/** One line of the catalogue's health table: a figure, when it counts, and what it means (rule A5). */
final readonly class HealthRule
{
    private const WHEN = ['rising', 'stable', 'above', 'below', 'at-least'];

    /** @param  int|string|null  $than  a number, or the name of another figure of the same reading */
    public function __construct(
        public int|string $figure,
        public string $title,
        public string $when,
        public HealthGrade $grade,
        public string $because,
        public int|string|null $than = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            self::figure($fields, 'figure') ??
                throw FieldFault::at($fields->path('figure'), 'a number or name is wanted.'),
            $fields->string('title'),
            $fields->oneOf('when', self::WHEN),
            $fields->enum('grade', HealthGrade::class),
            $fields->string('because'),
            self::figure($fields, 'than'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }

    private static function figure(Fields $fields, string $name): int|string|null
    {
        $value = $fields->optionalScalar($name);

        return $value === null || is_int($value) || is_string($value)
            ? $value
            : throw FieldFault::at($fields->path($name), 'a whole number or a name is wanted.');
    }

    /**
     * The deciding fact in words where the rule applies, else null.
     *
     * @param  HealthReading|null  $before  an earlier reading of the same drive
     */
    public function applies(HealthReading $now, ?HealthReading $before): ?string
    {
        $value = $now->figure((string) $this->figure);
        if ($value === null) {
            return null;
        }
        $was = $before?->figure((string) $this->figure);
        $limit = is_string($this->than) ? $now->figure($this->than) : $this->than;
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
        $because =
            $this->when === 'stable' && $was === null
                ? 'Only one reading: a second reading in some days shows whether it rises.'
                : $this->because;

        return "{$this->title}: {$value}{$grown}. {$because}";
    }
}
