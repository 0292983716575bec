<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;

/** A driver package on the shelf (rule D2, as far as order and matching need it). */
final readonly class DriverPackage
{
    private const RESTARTS = ['none', 'after', 'at-once'];

    /**
     * @param  list<string>  $claims  identifiers it is for
     * @param  list<string>  $systems
     * @param  string  $restart  none, after or at-once
     * @param  list<int|float>  $minutes  least, likely, most
     * @param  list<string>  $needs  packages that come first
     * @param  list<string>  $models  the only ones it fits; empty for any
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $family,
        public array $claims,
        public array $systems,
        public string $architecture,
        public string $version,
        public string $date,
        public int $bytes,
        public string $restart,
        public array $minutes,
        public string $sha256,
        public string $source,
        public array $needs = [],
        public array $models = [],
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the drivers schema accepts
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
        $fields->wants('claims', 'systems', 'minutes');

        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->oneOf('family', Device::FAMILIES),
            $fields->strings('claims'),
            $fields->strings('systems'),
            $fields->oneOf('architecture', MachineModel::ARCHITECTURES),
            $fields->string('version'),
            $fields->string('date'),
            $fields->int('bytes'),
            $fields->oneOf('restart', self::RESTARTS),
            $fields->numbers('minutes'),
            $fields->string('sha256'),
            $fields->string('source'),
            $fields->strings('needs'),
            $fields->strings('models'),
        );
    }

    public function isFor(string $identifier): bool
    {
        return in_array($identifier, array_map(strtolower(...), $this->claims), true);
    }

    public function claimsDevice(Device $device): bool
    {
        return $this->isFor($device->identifier);
    }

    public function fits(string $system, ?string $model): bool
    {
        return in_array($system, $this->systems, true) &&
            ($this->models === [] || in_array($model, $this->models, true));
    }

    public function isLocked(): bool
    {
        return $this->models !== [];
    }

    public function size(): Bytes
    {
        return Bytes::of($this->bytes);
    }

    /** "Ostler V5 graphics 4.2" */
    public function title(): string
    {
        return "{$this->name} {$this->version}";
    }

    public function estimate(): Estimate
    {
        return Estimate::fromMinutes($this->minutes);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
