<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Machine\Model\MachineModel;

/** What the bench knows about systems, machines, sticks, images and driver packages, by identifier. */
final class Catalogue
{
    public const KINDS = [
        'systems', 'machines', 'sticks', 'images', 'drivers', 'health', 'routes', 'issues', 'signers', 'makers',
        'encryption', 'apps', 'hosts',
    ];

    /** What holds for any machine, and so is kept where a bench has described none of its own. */
    private const KNOWLEDGE = ['health', 'routes', 'issues', 'signers', 'hosts'];

    /** @var array<string, array<string, object>> kind => id => what was read of the documents already */
    private array $read = [];

    /** @param  array<string, array<string, array<string, mixed>>>  $entries kind => id => document */
    public function __construct(private readonly array $entries)
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

    /** The same catalogue with one model as the bench has learned it. */
    public function withMachine(MachineModel $model): self
    {
        return $this->with('machines', [$model->id => $model->toArray()]);
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
        foreach ($this->each('encryption', EncryptionWords::class, EncryptionWords::fromArray(...)) as $entry) {
            array_push($words, ...array_map(mb_strtolower(...), $entry->words));
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
        foreach ($this->each('health', HealthTable::class, HealthTable::fromArray(...)) as $entry) {
            foreach ($entry->rules as $kind => $list) {
                $rules[$kind] = [...$rules[$kind] ?? [], ...$list];
            }
        }

        return $rules;
    }

    /** What the route ladder is made of, or null where the catalogue holds none (rule A3). */
    public function routes(): ?RouteTable
    {
        foreach ($this->each('routes', RouteTable::class, RouteTable::fromArray(...)) as $entry) {
            return $entry;
        }

        return null;
    }

    /** @throws UnknownEntry */
    public function system(string $id): SystemProfile
    {
        return $this->one('systems', $id, SystemProfile::class, SystemProfile::fromArray(...)) ??
            throw $this->unknown('systems', 'system', 'system', $id);
    }

    /** @return array<string, SystemProfile> by identifier */
    public function systems(): array
    {
        return $this->each('systems', SystemProfile::class, SystemProfile::fromArray(...));
    }

    /** @throws UnknownEntry */
    public function machine(string $id): MachineModel
    {
        return $this->one('machines', $id, MachineModel::class, MachineModel::fromArray(...)) ??
            throw $this->unknown('machines', 'machine.model', 'machine', $id);
    }

    /** @return array<string, MachineModel> by identifier */
    public function machines(): array
    {
        return $this->each('machines', MachineModel::class, MachineModel::fromArray(...));
    }

    /** The maker of that name, where the catalogue knows its usual ways in. */
    public function maker(string $name): ?Maker
    {
        foreach ($this->each('makers', Maker::class, Maker::fromArray(...)) as $maker) {
            if ($maker->name === $name) {
                return $maker;
            }
        }

        return null;
    }

    /** @throws UnknownEntry */
    public function image(string $id): Image
    {
        return $this->one('images', $id, Image::class, Image::fromArray(...)) ??
            throw $this->unknown('images', 'image', 'image', $id);
    }

    /** @return array<string, Image> by identifier */
    public function images(): array
    {
        return $this->each('images', Image::class, Image::fromArray(...));
    }

    /** @return array<string, Signer> by identifier */
    public function signers(): array
    {
        return $this->each('signers', Signer::class, Signer::fromArray(...));
    }

    /** @return array<string, AppSet> by identifier */
    public function appSets(): array
    {
        return $this->each('apps', AppSet::class, AppSet::fromArray(...));
    }

    /** @return array<string, HostProfile> by identifier */
    public function hosts(): array
    {
        return $this->each('hosts', HostProfile::class, HostProfile::fromArray(...));
    }

    /** @return list<Symptom> */
    public function symptoms(): array
    {
        return array_values($this->each('issues', Symptom::class, Symptom::fromArray(...)));
    }

    /**
     * @param  list<string>|null  $only  identifiers, or null for every stick
     * @return list<Stick>
     *
     * @throws UnknownEntry
     */
    public function sticks(?array $only = null): array
    {
        $all = $this->each('sticks', Stick::class, Stick::fromArray(...));

        return $only === null
            ? array_values($all)
            : array_map(
                fn (string $id): Stick => $all[$id] ?? throw $this->unknown('sticks', 'sticks', 'stick', $id),
                $only,
            );
    }

    /** @return list<DriverPackage> */
    public function drivers(): array
    {
        return array_values($this->each('drivers', DriverPackage::class, DriverPackage::fromArray(...)));
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

    /**
     * Every entry of a kind, read once.
     *
     * @template T of object
     *
     * @param  class-string<T>  $type
     * @param  callable(array<string, mixed>): T  $read
     * @return array<string, T> by identifier
     */
    private function each(string $kind, string $type, callable $read): array
    {
        $all = [];
        foreach ($this->all($kind) as $id => $document) {
            $known = $this->read[$kind][$id] ?? null;
            $all[$id] = $known instanceof $type ? $known : $read($document);
        }
        $this->read[$kind] = $all;

        return $all;
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $type
     * @param  callable(array<string, mixed>): T  $read
     * @return T|null
     */
    private function one(string $kind, string $id, string $type, callable $read): ?object
    {
        $known = $this->read[$kind][$id] ?? null;
        $document = $this->entries[$kind][$id] ?? null;
        if ($known instanceof $type || $document === null) {
            return $known instanceof $type ? $known : null;
        }

        return $this->read[$kind][$id] = $read($document);
    }

    private function unknown(string $kind, string $field, string $word, string $id): UnknownEntry
    {
        return UnknownEntry::of($field, $word, $id, array_map(strval(...), array_keys($this->all($kind))));
    }
}
