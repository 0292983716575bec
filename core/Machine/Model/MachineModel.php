<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Battery;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Port;

/** What the catalogue holds of one model (format: catalogue/schema/machines.schema.json). */
final readonly class MachineModel
{
    public const ARCHITECTURES = ['x86-64', 'x86-32', 'arm-64'];

    /**
     * @param  list<Port>  $ports
     * @param  list<Device>  $devices
     * @param  list<KnownTrouble>  $known  what does not work with some system (rule T4)
     */
    public function __construct(
        public string $id,
        public string $maker,
        public string $name,
        public Kind $kind,
        public string $asOf,
        public string $source,
        public ?string $architecture = null,
        public ?int $cores = null,
        public ?int $memoryBytes = null,
        public ?int $driveBytes = null,
        public ?FirmwareModel $firmware = null,
        public array $ports = [],
        public ?Battery $battery = null,
        public ?Hub $hub = null,
        public array $devices = [],
        public ?string $usualImage = null,
        public ?int $clockMhz = null,
        public ?string $securityChipVersion = null,
        public ?string $graphicsFeatures = null,
        public ?int $displayPixels = null,
        public bool $accountLock = false,
        public ?MemoryBoard $memory = null,
        public ?CableRecovery $recovery = null,
        public ?string $processor = null,
        public ?OpeningGuide $opening = null,
        public array $known = [],
        public ?Screen $screen = null,
        public ?PowerLimits $powerLimits = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the machines schema accepts
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
            $fields->string('id'),
            $fields->string('maker'),
            $fields->string('name'),
            $fields->enum('kind', Kind::class),
            $fields->string('as_of'),
            $fields->string('source'),
            $fields->optionalOneOf('architecture', self::ARCHITECTURES),
            $fields->optionalInt('cores'),
            $fields->optionalInt('memory_bytes'),
            $fields->optionalInt('drive_bytes'),
            $fields->optional('firmware', FirmwareModel::read(...)),
            $fields->each('ports', Port::read(...)),
            $fields->optional('battery', Battery::read(...)),
            $fields->optional('hub', Hub::read(...)),
            $fields->each('devices', Device::readOfModel(...)),
            $fields->optionalString('usual_image'),
            $fields->optionalInt('clock_mhz'),
            $fields->optionalString('security_chip_version'),
            $fields->optionalString('graphics_features'),
            $fields->optionalInt('display_pixels'),
            $fields->optionalBool('account_lock') ?? false,
            $fields->optional('memory', MemoryBoard::read(...)),
            $fields->optional('recovery', CableRecovery::read(...)),
            $fields->optionalString('processor'),
            $fields->optional('opening', OpeningGuide::read(...)),
            $fields->each('known', KnownTrouble::read(...)),
            $fields->optional('screen', Screen::read(...)),
            $fields->optional('power_limits', PowerLimits::read(...)),
        );
    }

    public function title(): string
    {
        return "{$this->maker} {$this->name}";
    }

    public function dated(): string
    {
        return "catalogue, {$this->name}, as of {$this->asOf}";
    }

    /** @return list<FirmwareSetting> */
    public function settings(): array
    {
        return $this->firmware->settings ?? [];
    }

    public function setting(string $id): ?FirmwareSetting
    {
        return $this->firmware?->setting($id);
    }

    /** The same model with other firmware, as the bench has learned it. */
    public function withFirmware(FirmwareModel $firmware): self
    {
        return Copy::of($this, get_object_vars($this), ['firmware' => $firmware]);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
