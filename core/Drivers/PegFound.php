<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** One device, and what was decided about its driver. */
final readonly class PegFound
{
    /** A package for it lies ready; one travels on the stick; the system has a driver; nothing has. */
    public const HANGS = ['hung', 'carried', 'brought', 'empty'];

    /**
     * @param  string  $id  identifier of the device
     * @param  string  $hangs  hung, carried, brought or empty
     * @param  string  $package  empty where there is none
     * @param  string  $setupFile  within the package; empty where a manifest speaks for it
     * @param  string  $step  the stone that installs it; empty where none does
     * @param  string  $identifier  by which the package claims the device
     * @param  list<RefusedFound>  $refused
     */
    public function __construct(
        public string $name,
        public string $id,
        public string $family,
        public string $hangs,
        public string $package,
        public string $setupFile,
        public string $step,
        public string $identifier,
        public array $refused,
        public string $packageId = '',
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->string('id'),
            $fields->string('family'),
            $fields->oneOf('hangs', self::HANGS),
            $fields->string('package'),
            $fields->string('setup_file'),
            $fields->string('step'),
            $fields->string('identifier'),
            $fields->each('refused', RefusedFound::read(...)),
            $fields->optionalString('package_id') ?? '',
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'id' => $this->id,
            'family' => $this->family,
            'hangs' => $this->hangs,
            'package' => $this->package,
            'package_id' => $this->packageId,
            'setup_file' => $this->setupFile,
            'step' => $this->step,
            'identifier' => $this->identifier,
            'refused' => array_map(static fn (RefusedFound $one): array => $one->toArray(), $this->refused),
        ];
    }
}
