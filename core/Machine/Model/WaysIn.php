<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The known ways into setup, one-time menu and recovery (rule F1). */
final readonly class WaysIn
{
    /**
     * @param  list<KnownWay>  $setup
     * @param  list<KnownWay>  $menu
     * @param  list<KnownWay>  $recovery
     */
    public function __construct(public array $setup = [], public array $menu = [], public array $recovery = [])
    {
    }

    /**
     * @param  array<array-key, mixed>  $document  one way or several for each of setup, menu, recovery
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
        return new self(self::list($fields, 'setup'), self::list($fields, 'menu'), self::list($fields, 'recovery'));
    }

    /** @return list<KnownWay> */
    public function to(string $reaches): array
    {
        return match ($reaches) {
            'setup' => $this->setup,
            'menu' => $this->menu,
            default => $this->recovery,
        };
    }

    /** The same ways after one more try of one of them; one that worked and was not known comes in last. */
    public function tried(string $reaches, string $name, bool $worked): self
    {
        $known = false;
        $ways = [];
        foreach ($this->to($reaches) as $way) {
            $known = $known || $way->name() === $name;
            $ways[] = $way->name() === $name ? $way->tried($worked) : $way;
        }
        $new = $known || ! $worked ? null : KnownWay::named($name)?->tried(true);

        return Copy::of($this, get_object_vars($this), [$reaches => $new === null ? $ways : [...$ways, $new]]);
    }

    public function isEmpty(): bool
    {
        return $this->setup === [] && $this->menu === [] && $this->recovery === [];
    }

    /** @return list<KnownWay> one way may stand there without a list around it */
    private static function list(Fields $fields, string $reaches): array
    {
        if (! $fields->has($reaches)) {
            return [];
        }
        $block = $fields->block($reaches);

        return $block->has('how') ? [KnownWay::read($block)] : $fields->each($reaches, KnownWay::read(...));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
