<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

/** One firmware setting as this model words and places it (rule F2). */
final readonly class Setting
{
    /** Order in which settings are changed in one visit (rule F3). */
    public const ORDER = ['boot_mode', 'older_devices', 'secure_boot', 'third_party_signer', 'security_chip', 'controller_mode', 'boot_order', 'memory_profile', 'usb_start', 'fast_start'];

    /**
     * @param  list<string>  $values
     * @param  array<string, string>  $requires  other settings and the values they must have first
     */
    private function __construct(public string $id, public string $title, public string $place, public array $values, public array $requires)
    {
    }

    /** @param  array<string, mixed>  $entry */
    public static function fromArray(array $entry): self
    {
        return new self($entry['id'], $entry['title'], $entry['place'], $entry['values'], $entry['requires'] ?? []);
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
