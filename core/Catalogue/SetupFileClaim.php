<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Model\MachineModel;

/** One device that a setup-information file claims, and for which systems. */
final readonly class SetupFileClaim
{
    /**
     * @param  string  $id  in its normal form
     * @param  string|null  $architecture  null for any
     * @param  int|null  $fromBuild  least build of the system, null for any
     * @param  bool  $compatible  whether it stands there as one that only works with it
     * @param  list<string>  $excluded  normal forms of devices it is not for, though they fit
     */
    public function __construct(
        public string $id,
        public ?string $architecture = null,
        public ?int $fromBuild = null,
        public bool $compatible = false,
        public array $excluded = [],
    ) {
    }

    /** @throws FieldFault where the identifier is none */
    public static function read(Fields $fields): self
    {
        $id = $fields->string('id');
        if (HardwareIdentifier::of($id) === null) {
            throw FieldFault::at($fields->path('id'), "no identifier of a device: {$id}");
        }

        return new self(
            $id,
            $fields->optionalOneOf('architecture', MachineModel::ARCHITECTURES),
            $fields->optionalInt('from_build'),
            $fields->optionalBool('compatible') ?? false,
            $fields->strings('excluded'),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
