<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;

/**
 * Small readings that nearly every page asks for, fetched with the row of the session in one round trip. Only a page
 * that shows has them: what changes something asks anew, and finds what it has just written.
 */
final class ReadAlong
{
    private const ATTRIBUTE = 'read-along';

    /** @param  array<string, callable(): array{string, list<mixed>}>  $queries  name => query of one text, values */
    public function __construct(private readonly array $queries)
    {
    }

    public function select(Builder $query, Request $request): void
    {
        if (! $request->isMethodSafe()) {
            return;
        }
        foreach ($this->queries as $name => $of) {
            [$sql, $values] = $of();
            $query->selectRaw("({$sql}) as \"{$name}\"", $values);
        }
    }

    public function hold(object $row, Request $request): void
    {
        $held = array_intersect_key((array) $row, $this->queries);
        $request->attributes->set(self::ATTRIBUTE, array_map(strval(...), $held));
    }

    /** Null where this request has not read it along. */
    public static function of(string $name): ?string
    {
        return request()->attributes->get(self::ATTRIBUTE)[$name] ?? null;
    }

    /** The catalogue, say, has changed: what was read before does not hold. */
    public static function forget(string $name): void
    {
        $held = request()->attributes->get(self::ATTRIBUTE) ?? [];
        unset($held[$name]);
        request()->attributes->set(self::ATTRIBUTE, $held);
    }
}
