<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\HealthReading;
use Cobblestone\Machine\MemoryModule;

/** What one tool's output says about a machine, and by line what was not understood (rule A1). */
final readonly class Reading
{
    private const TOOLS = [
        'lsblk',
        'lshw',
        'lspci',
        'lsusb',
        'dmidecode',
        'smartctl',
        'efibootmgr',
        'mokutil',
        'device-list',
        'collector',
        'program-list',
    ];

    /**
     * @param  string  $tool  the tool's own name, as in Tools::NAMES
     * @param  string  $origin  the file it came from, or "pasted"
     * @param  array<string, bool|int|float|string|list<string>>  $facts
     * @param  list<Device>  $devices
     * @param  list<MemoryModule>  $modules
     * @param  list<HealthReading>  $health
     * @param  list<string>  $notes
     * @param  string|null  $lsblk  the block-device list as printed, where that is what was read
     * @param  array<string, string>  $programs  name => version, empty where the list has none
     */
    public function __construct(
        public string $tool,
        public string $origin,
        public ?string $at = null,
        public array $facts = [],
        public array $devices = [],
        public array $modules = [],
        public array $health = [],
        public array $notes = [],
        public ?string $lsblk = null,
        public array $programs = [],
    ) {
    }

    /** Whether anything of it was understood. */
    public function isEmpty(): bool
    {
        return $this->facts === [] &&
            $this->devices === [] &&
            $this->modules === [] &&
            $this->health === [] &&
            $this->programs === [] &&
            $this->lsblk === null;
    }

    /** What the reading is about: a newer reading with the same key takes the place of this one. */
    public function key(): string
    {
        $about = $this->health === [] ? '' : ' '.$this->health[0]->serial.' '.($this->at ?? '');

        return $this->tool.$about;
    }

    /** The same reading with the origin and time that the caller knows. */
    public function from(string $origin, ?string $at): self
    {
        return new self(
            $this->tool,
            $origin,
            $this->at ?? $at,
            $this->facts,
            $this->devices,
            $this->modules,
            array_map(
                static fn (HealthReading $one): HealthReading => $one->at !== null || $at === null
                    ? $one
                    : HealthReading::fromArray([...$one->toArray(), 'at' => $at]),
                $this->health,
            ),
            $this->notes,
            $this->lsblk,
            $this->programs,
        );
    }

    /**
     * @param  array<array-key, mixed>  $document  an entry of the brief's machine.readings
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
        $tool = $fields->oneOf('tool', self::TOOLS);
        $said = $fields->facts('facts');
        $facts = array_filter($said, static fn (string $name): bool => self::gives($tool, $name), ARRAY_FILTER_USE_KEY);

        return new self(
            $tool,
            $fields->optionalString('origin') ?? 'brief',
            $fields->optionalString('at'),
            $facts,
            $fields->each('devices', Device::read(...)),
            $fields->each('modules', MemoryModule::read(...)),
            $fields->each('health', HealthReading::read(...)),
            [...$fields->strings('notes'), ...self::leftOut($tool, array_keys(array_diff_key($said, $facts)))],
            $fields->optionalString('lsblk'),
            array_map(strval(...), $fields->scalars('programs')),
        );
    }

    /** Whether that tool's output can say it: what it cannot, somebody else wrote into the reading. */
    private static function gives(string $tool, string $fact): bool
    {
        return FactRegistry::find($fact)?->isGivenBy($tool) === true;
    }

    /**
     * @param  list<string>  $facts
     * @return list<string>
     */
    private static function leftOut(string $tool, array $facts): array
    {
        return array_map(
            static fn (string $fact): string => "{$tool} cannot tell \"".mb_substr($fact, 0, 40).'"; left out.',
            $facts,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter(
            [
                'tool' => $this->tool,
                'origin' => $this->origin,
                'at' => $this->at,
                'facts' => $this->facts,
                'devices' => array_map(static fn (Device $device): array => $device->toArray(), $this->devices),
                'modules' => array_map(static fn (MemoryModule $module): array => $module->toArray(), $this->modules),
                'health' => array_map(static fn (HealthReading $one): array => $one->toArray(), $this->health),
                'notes' => $this->notes,
                'lsblk' => $this->lsblk,
                'programs' => $this->programs,
            ],
            static fn ($value): bool => $value !== null && $value !== [],
        );
    }
}
