<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Inventory\Reading;

/** The machine as a brief gives it: its model or kind, and what is known of it. */
final readonly class MachineBlock
{
    private const KINDS = ['desktop', 'laptop', 'handheld', 'sealed', 'any'];

    /**
     * @param  array<string, int>  $ports  connector => how many
     * @param  array<string, bool|int|float|string>  $facts
     * @param  array<string, bool|int|float|string>  $settled  what a person decided between two readings
     * @param  list<Reading>  $readings
     */
    public function __construct(
        public ?string $model = null,
        public ?string $kind = null,
        public ?string $title = null,
        public array $ports = [],
        public array $facts = [],
        public ?string $factsFrom = null,
        public ?string $lsblk = null,
        public array $settled = [],
        public array $readings = [],
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  the brief's machine block
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
            $fields->optionalString('model'),
            $fields->optionalOneOf('kind', self::KINDS),
            $fields->optionalString('title'),
            self::sockets($fields),
            $fields->scalars('facts'),
            $fields->optionalString('facts_from'),
            $fields->optionalString('lsblk'),
            $fields->scalars('settled'),
            $fields->each('readings', Reading::read(...)),
        );
    }

    /** @return list<Reading> of each tool and drive the newest, oldest first */
    public function newest(): array
    {
        $newest = [];
        foreach ($this->readings as $reading) {
            unset($newest[$reading->key()]);
            $newest[$reading->key()] = $reading;
        }

        return array_values($newest);
    }

    /** @param  array<string, bool|int|float|string>  $facts */
    public function withFacts(array $facts): self
    {
        return new self(
            $this->model,
            $this->kind,
            $this->title,
            $this->ports,
            $facts,
            $this->factsFrom,
            $this->lsblk,
            $this->settled,
            $this->readings,
        );
    }

    /** @return array<string, int> */
    private static function sockets(Fields $fields): array
    {
        $ports = [];
        foreach ($fields->scalars('ports') as $connector => $count) {
            $ports[$connector] = max(0, (int) $count);
        }

        return $ports;
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
