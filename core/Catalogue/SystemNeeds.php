<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Model\MachineModel;

/** What a system asks of a machine (rule A2). */
final readonly class SystemNeeds
{
    /**
     * @param  list<string>  $architectures
     */
    public function __construct(
        public ?int $memoryBytes = null,
        public ?int $driveBytes = null,
        public ?int $cores = null,
        public ?int $clockMhz = null,
        public ?int $displayPixels = null,
        public array $architectures = [],
        public ?string $secureBoot = null,
        public ?string $securityChipVersion = null,
        public ?string $graphicsFeature = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalInt('memory_bytes'),
            $fields->optionalInt('drive_bytes'),
            $fields->optionalInt('cores'),
            $fields->optionalInt('clock_mhz'),
            $fields->optionalInt('display_pixels'),
            $fields->strings('architectures', MachineModel::ARCHITECTURES),
            $fields->optionalOneOf('secure_boot', ['capable', 'in-force']),
            $fields->optionalString('security_chip_version'),
            $fields->optionalString('graphics_feature'),
        );
    }

    public function asksNothing(): bool
    {
        return $this->toArray() === [];
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
