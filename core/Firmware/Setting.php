<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\FirmwareSetting;

/** One firmware setting as this model words and places it (rule F2). */
final readonly class Setting
{
    /** Order in which settings are changed in one visit (rule F3). */
    public const ORDER = [
        'boot_mode',
        'older_devices',
        'secure_boot',
        'third_party_signer',
        'security_chip',
        'controller_mode',
        'boot_order',
        'memory_profile',
        'graphics_memory',
        'power_mode',
        'usb_start',
        'fast_start',
    ];

    /**
     * @param  list<string>  $values
     * @param  array<string, string>  $requires  other settings and the values they must have first
     */
    private function __construct(
        public string $id,
        public string $title,
        public string $place,
        public array $values,
        public array $requires,
        public ?string $default = null,
    ) {
    }

    public static function of(FirmwareSetting $setting): self
    {
        return new self(
            $setting->id,
            $setting->title,
            $setting->place,
            $setting->values,
            $setting->requires,
            $setting->default,
        );
    }

    /** @return list<self> the settings of a machine, as its model words them */
    public static function ofMachine(Machine $machine): array
    {
        return array_map(self::of(...), $machine->settings());
    }

    /** What a start rests on, whatever the model; asked for where nobody has described it. */
    public const USUAL = [
        'boot_mode',
        'secure_boot',
        'older_devices',
        'third_party_signer',
        'controller_mode',
        'security_chip',
        'usb_start',
    ];

    /**
     * Not a model's own, but what decides whether anything can be set, and whether Secure Boot is in force (rule F2).
     */
    public const BESIDES = ['key_mode', 'supervisor_password'];

    /** A setting that most firmware has under some name, with the values we tell apart. */
    public static function usual(string $id): self
    {
        $known = FactRegistry::find(FactRegistry::FIRMWARE.$id);
        $told = $known === null ? [] : ($known->values !== [] ? $known->values : array_keys($known->offers()));
        $title = ucfirst(FactRegistry::spoken(FactRegistry::FIRMWARE.$id));

        return new self($id, $title, '', $told === [] ? ['on', 'off'] : $told, []);
    }

    /** For a model nobody has described: the name of the thing, and where to look. */
    public static function undescribed(string $id): self
    {
        $title = str_replace('_', ' ', $id);

        return new self($id, ucfirst($title), 'look on every page of the setup', [], []);
    }

    public function rank(): int
    {
        $rank = array_search($this->id, self::ORDER, true);

        return $rank === false ? count(self::ORDER) : (int) $rank;
    }
}
