<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/**
 * What a step does to how the machine starts, and its power-ons, in the order they happen: what the rehearsal plays
 * (rule B).
 */
final readonly class BootEvent
{
    /** Picked in the one-time menu. */
    public const BY_MENU = 'menu';

    /** Whatever the firmware's order finds first. */
    public const BY_ORDER = 'order';

    /** By a key or combination that leads there whatever else is set. */
    public const BY_KEY = 'key';

    /** @param  array<string, string>  $changes  what is different then; empty for a power-on */
    private function __construct(public ?Wants $wants, public string $by, public array $changes)
    {
    }

    public static function start(Wants $wants, string $by = self::BY_ORDER): self
    {
        return new self($wants, $by, []);
    }

    /**
     * @param  array<string, string>  $changes  facts of the machine, or: stick, stick.content, target, order,
     *     encryption, defaults
     */
    public static function change(array $changes): self
    {
        return new self(null, '', $changes);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->wants === null
            ? ['change' => (object) $this->changes]
            : ['start' => $this->wants->value, 'by' => $this->by];
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
        return $fields->has('start')
            ? self::start($fields->enum('start', Wants::class), $fields->string('by'))
            : self::change($fields->words('change'));
    }
}
