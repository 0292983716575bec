<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One thing to write down before a step counts as done, and what it is compared with (rules L2, K3). */
final readonly class Evidence
{
    public EvidenceKind $kind;

    /**
     * @param  array<string, string>  $options  for a choice
     * @param  int|null  $least  the smallest number that proves it
     * @param  Expected|null  $expected  what it is compared with; null where there is nothing to compare with
     * @param  list<string>  $overruledBy  roles that may accept a difference, with a reason; empty where nobody may
     * @param  string  $remedy  what to do where it differs
     * @param  string  $fact  the fact of the machine that the value sets; empty where it sets none
     * @param  bool  $mayBeOpen  whether it may be left unread, which counts as a difference
     * @param  string  $read  the cheapest way to get it read; empty where there is only looking
     * @param  array{int, int}|null  $between  numbers that can be at all; null: as its kind has them
     */
    public function __construct(
        public string $id,
        public string $label,
        EvidenceKind|string $kind,
        public array $options = [],
        public ?string $hint = null,
        public ?int $least = null,
        public ?Expected $expected = null,
        public array $overruledBy = [],
        public string $remedy = '',
        public string $fact = '',
        public bool $mayBeOpen = false,
        public string $read = '',
        public ?array $between = null,
    ) {
        $this->kind = is_string($kind) ? EvidenceKind::from($kind) : $kind;
    }

    /** The same where it is known that it does not work: then that is no surprise, and said beside it. */
    public function knownTo(string $fails, string $sentence): self
    {
        return Copy::of($this, get_object_vars($this), [
            'expected' => $this->expected === null ? null : $this->expected->or($fails),
            'hint' => trim("{$this->hint} Known: {$sentence}"),
        ]);
    }

    /** Whether a number can be at all, expected or not. */
    public function isPlausible(int $number): bool
    {
        [$least, $most] = $this->plausible();

        return $number >= $least && $number <= $most;
    }

    /** "20 to 1000" */
    public function range(): string
    {
        return implode(' to ', array_map(
            static fn (int $one): string => number_format($one, 0, '.', ' '),
            $this->plausible(),
        ));
    }

    /** @return array{int, int} */
    private function plausible(): array
    {
        return $this->between ?? match ($this->kind) {
            EvidenceKind::Percent => [0, 100],
            EvidenceKind::Bytes => [0, 10 ** 17],
            EvidenceKind::Build => [0, 10 ** 9],
            default => [0, 10 ** 12],
        };
    }

    /** The same with the cheapest way to get it read. */
    public function readBy(string $way): self
    {
        return Copy::of($this, get_object_vars($this), ['read' => $way]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'label' => $this->label,
            'kind' => $this->kind->value,
            'options' => (object) $this->options,
            'hint' => $this->hint,
            'least' => $this->least,
            'expected' => $this->expected?->toArray(),
            'overruled_by' => $this->overruledBy,
            'remedy' => $this->remedy,
            'fact' => $this->fact,
            'may_be_open' => $this->mayBeOpen,
            ...$this->read === '' ? [] : ['read' => $this->read],
            ...$this->between === null ? [] : ['between' => $this->between],
        ];
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('label'),
            $fields->enum('kind', EvidenceKind::class),
            $fields->words('options'),
            $fields->optionalString('hint'),
            $fields->optionalInt('least'),
            $fields->optional('expected', Expected::read(...)),
            $fields->strings('overruled_by'),
            $fields->optionalString('remedy') ?? '',
            $fields->optionalString('fact') ?? '',
            $fields->optionalBool('may_be_open') ?? false,
            $fields->optionalString('read') ?? '',
            self::between($fields),
        );
    }

    /**
     * @return array{int, int}|null
     *
     * @throws FieldFault
     */
    private static function between(Fields $fields): ?array
    {
        $given = $fields->raw('between');
        if ($given === null) {
            return null;
        }
        if (! is_array($given) || ! is_int($given[0] ?? null) || ! is_int($given[1] ?? null)) {
            throw FieldFault::at($fields->path('between'), 'two whole numbers are wanted.');
        }

        return [$given[0], $given[1]];
    }
}
