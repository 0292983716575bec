<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Route;

use Cobblestone\Assessment\Condition;
use Cobblestone\Machine\FactSheet;

/** One way to set a machine right, with when it can work and what it costs (rule A3). */
final readonly class Rung
{
    /**
     * @param  int  $order  gentlest first
     * @param  list<Condition>  $conditions  all must hold
     * @param  list<string>  $keeps  files, programs, settings
     * @param  string|null  $path  the goal whose path it is, where it is a whole one
     * @param  array<string, mixed>  $entry
     */
    private function __construct(public string $id, public int $order, public string $title, public array $conditions, public array $keeps, public ?string $path, public array $entry)
    {
    }

    /** @param  array<string, mixed>  $entry a rung of the routes catalogue */
    public static function fromArray(array $entry): self
    {
        return new self($entry['id'], $entry['order'], $entry['title'], array_map(Condition::fromArray(...), $entry['only_if'] ?? []), $entry['keeps'] ?? [], $entry['path'] ?? null, $entry);
    }

    /** Whether files of the owner are lost on this way. */
    public function losesFiles(): bool
    {
        return ! in_array('files', $this->keeps, true);
    }

    /** Whether it writes to the present drive and may make a failing one worse. */
    public function writes(): bool
    {
        return $this->entry['writes'] ?? true;
    }

    /** @return list<string> why it cannot be used; empty where nothing speaks against it yet */
    public function against(FactSheet $facts): array
    {
        $tried = $facts->get('tried')->value;
        $against = in_array($this->id, is_array($tried) ? $tried : explode(', ', (string) $tried), true) ? ['Tried already, and it did not help.'] : [];
        foreach ($this->conditions as $condition) {
            if ($condition->holds($facts) === false) {
                $against[] = $condition->else;
            }
        }

        return array_values(array_unique($against));
    }

    /** @return list<string> facts that have to be known before it can be said to work */
    public function unknown(FactSheet $facts): array
    {
        return array_values(array_unique(array_map(static fn (Condition $condition): string => $condition->fact, array_filter($this->conditions, static fn (Condition $condition): bool => $condition->holds($facts) === null))));
    }
}
