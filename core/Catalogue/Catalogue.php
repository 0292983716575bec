<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Assessment\Health\HealthRule;
use Cobblestone\Assessment\Route\RouteLadder;

/** What the bench knows about systems, machines, sticks, images and driver packages, by identifier. */
final readonly class Catalogue
{
    public const KINDS = ['systems', 'machines', 'sticks', 'images', 'drivers', 'health', 'routes', 'issues', 'signers', 'makers', 'encryption'];

    /** What holds for any machine, and so is kept where a bench has described none of its own. */
    private const KNOWLEDGE = ['health', 'routes', 'issues', 'signers'];

    /** @param  array<string, array<string, array<string, mixed>>>  $entries kind => id => document */
    public function __construct(private array $entries)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** The same catalogue without anything that names a model, system or image (rule J13). */
    public function knowledge(): self
    {
        return new self(array_intersect_key($this->entries, array_flip(self::KNOWLEDGE)));
    }

    /**
     * The same catalogue with some entries of one kind replaced.
     *
     * @param  array<string, array<string, mixed>>  $entries  id => document
     */
    public function with(string $kind, array $entries): self
    {
        return new self([...$this->entries, $kind => [...$this->all($kind), ...$entries]]);
    }

    /** @return list<string> what tools print as the file system of an encrypted volume, in lower case */
    public function encryptedFileSystems(): array
    {
        $words = [];
        foreach ($this->all('encryption') as $entry) {
            array_push($words, ...array_map(mb_strtolower(...), $entry['words']));
        }

        return array_values(array_unique($words));
    }

    /**
     * The marks of drive health, by kind of drive (rule A5).
     *
     * @return array<string, list<HealthRule>>
     */
    public function healthRules(): array
    {
        $rules = [];
        foreach ($this->all('health') as $entry) {
            foreach ($entry['rules'] as $kind => $list) {
                $rules[$kind] = [...($rules[$kind] ?? []), ...array_map(HealthRule::fromArray(...), $list)];
            }
        }

        return $rules;
    }

    /** The route ladder, or null where the catalogue holds none (rule A3). */
    public function ladder(): ?RouteLadder
    {
        $entries = array_values($this->all('routes'));

        return $entries === [] ? null : RouteLadder::fromArray($entries[0]);
    }

    /** @throws UnknownEntry */
    public function system(string $id): SystemProfile
    {
        return new SystemProfile($this->entry('systems', 'system', $id, 'system'));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws UnknownEntry
     */
    public function machine(string $id): array
    {
        return $this->entry('machines', 'machine.model', $id, 'machine');
    }

    /** @throws UnknownEntry */
    public function image(string $id): Image
    {
        return new Image($this->entry('images', 'image', $id, 'image'));
    }

    /**
     * @param  list<string>|null  $only  identifiers, or null for every stick
     * @return list<Stick>
     *
     * @throws UnknownEntry
     */
    public function sticks(?array $only = null): array
    {
        $entries = $only === null ? array_values($this->entries['sticks'] ?? []) : array_map(fn (string $id): array => $this->entry('sticks', 'sticks', $id, 'stick'), $only);

        return array_map(static fn (array $entry): Stick => new Stick($entry), $entries);
    }

    /** @return list<DriverPackage> */
    public function drivers(): array
    {
        return array_map(static fn (array $entry): DriverPackage => new DriverPackage($entry), array_values($this->entries['drivers'] ?? []));
    }

    /** @return array<string, array<string, array<string, mixed>>> kind => id => document */
    public function toArray(): array
    {
        return $this->entries;
    }

    /** @return array<string, array<string, mixed>> */
    public function all(string $kind): array
    {
        return $this->entries[$kind] ?? [];
    }

    /** @return array<string, mixed> */
    private function entry(string $kind, string $field, string $id, string $word): array
    {
        return $this->entries[$kind][$id] ?? throw UnknownEntry::of($field, $word, $id, array_map(strval(...), array_keys($this->entries[$kind] ?? [])));
    }
}
