<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\MemoryModule;
use Cobblestone\Quantity\Bytes;

/** Reads `dmidecode`, old and new wording of it (rule A1; structure types of the SMBIOS reference specification). */
final class DmidecodeReader
{
    private const BIOS = 0;

    private const SYSTEM = 1;

    private const BOARD = 2;

    private const PROCESSOR = 4;

    private const MEMORY_ARRAY = 16;

    private const MEMORY_DEVICE = 17;

    private const BATTERY = 22;

    private const SECURITY_CHIP = 43;

    /** @var array<string, bool|int|float|string|list<string>> */
    private array $facts = [];

    /** @var list<MemoryModule> */
    private array $modules = [];

    /** @var list<string> */
    private array $notes = [];

    public static function read(string $text): Reading
    {
        $reader = new self();
        foreach (self::structures($text, $reader->notes) as [$type, $fields, $line]) {
            $reader->structure($type, $fields, $line);
        }
        $installed = array_sum(
            array_map(static fn (MemoryModule $module): int => $module->size->count ?? 0, $reader->modules),
        );
        if ($installed > 0) {
            $reader->facts['memory_bytes'] = $installed;
        }

        return new Reading(
            'dmidecode',
            'pasted',
            facts: $reader->facts,
            modules: $reader->modules,
            notes: $reader->notes,
        );
    }

    /**
     * @param  list<string>  $notes
     * @return list<array{0: int, 1: array<string, string>, 2: int}> type, fields, line
     */
    private static function structures(string $text, array &$notes): array
    {
        $types = $fields = $lines = [];
        $at = -1;
        foreach (explode("\n", $text) as $index => $line) {
            $line = rtrim($line);
            if (
                preg_match('/^Handle 0x[0-9A-Fa-f]{4}, DMI type ([0-9]{1,3}), [0-9]+ bytes\.?$/', $line, $match) === 1
            ) {
                $at++;
                [$types[$at], $fields[$at], $lines[$at]] = [(int) $match[1], [], $index + 1];
            } elseif ($at >= 0 && preg_match('/^\t([A-Za-z][^:\t]*):\s*(.*)$/', $line, $match) === 1) {
                $fields[$at][$match[1]] ??= $match[2];
            } elseif (
                $at >= 0 &&
                preg_match('/^(\s|#|$|End Of Table|Invalid entry|[A-Z][A-Za-z0-9 \/-]+$)/', $line) !== 1
            ) {
                $notes[] =
                    'dmidecode, line '.
                    ($index + 1).
                    ': "'.
                    mb_substr(trim($line), 0, 40).
                    '" was not understood; left out.';
            }
        }

        return array_map(
            static fn (int $one): array => [$types[$one], $fields[$one], $lines[$one]],
            array_keys($types),
        );
    }

    /** @param  array<string, string>  $fields */
    private function structure(int $type, array $fields, int $line): void
    {
        match ($type) {
            self::BIOS => $this->words($fields, ['Version' => 'firmware.version', 'Release Date' => 'firmware.date']),
            self::SYSTEM => $this->words($fields, [
                'Manufacturer' => 'machine.maker',
                'Product Name' => 'machine.product',
                'Serial Number' => 'machine.serial',
                'SKU Number' => 'machine.sku',
            ]),
            self::BOARD => $this->words($fields, ['Product Name' => 'board.name', 'Version' => 'board.revision']),
            self::PROCESSOR => $this->processor($fields),
            self::MEMORY_ARRAY => $this->memoryArray($fields),
            self::MEMORY_DEVICE => $this->module($fields, $line),
            self::BATTERY => $this->battery($fields),
            self::SECURITY_CHIP => $this->words($fields, ['Specification Version' => 'security_chip.version']),
            default => null,
        };
    }

    /**
     * @param  array<string, string>  $fields
     * @param  array<string, string>  $wanted  field => fact
     */
    private function words(array $fields, array $wanted): void
    {
        foreach ($wanted as $field => $fact) {
            $value = Plain::word($fields[$field] ?? null);
            if ($value !== null) {
                $this->facts[$fact] ??= $value;
            }
        }
    }

    /** @param  array<string, string>  $fields */
    private function processor(array $fields): void
    {
        if (str_contains($fields['Status'] ?? '', 'Unpopulated')) {
            return;
        }
        foreach (['Core Count' => 'cores', 'Thread Count' => 'threads'] as $field => $fact) {
            if (ctype_digit($fields[$field] ?? '')) {
                $this->facts[$fact] = (int) ($this->facts[$fact] ?? 0) + (int) $fields[$field];
            }
        }
        if (preg_match('/^([0-9]{3,5}) MHz$/', $fields['Max Speed'] ?? '', $match) === 1) {
            $this->facts['clock_mhz'] = (int) $match[1];
        }
    }

    /** @param  array<string, string>  $fields */
    private function memoryArray(array $fields): void
    {
        if (($fields['Use'] ?? 'System Memory') !== 'System Memory') {
            return;
        }
        $most = Plain::memory($fields['Maximum Capacity'] ?? '');
        if ($most !== null) {
            $this->facts['memory.max_bytes'] = (int) ($this->facts['memory.max_bytes'] ?? 0) + $most;
        }
        if (ctype_digit($fields['Number Of Devices'] ?? '')) {
            $this->facts['memory.slots'] =
                (int) ($this->facts['memory.slots'] ?? 0) + (int) $fields['Number Of Devices'];
        }
    }

    /** @param  array<string, string>  $fields */
    private function module(array $fields, int $line): void
    {
        $size = $fields['Size'] ?? '';
        $bytes = Plain::memory($size);
        if ($bytes === null && ! in_array($size, ['No Module Installed', 'Not Installed', ''], true)) {
            $this->notes[] =
                "dmidecode, line {$line}: memory size \"".
                mb_substr($size, 0, 30).
                '" was not understood; the module is left out.';

            return;
        }
        $set = Plain::transfers($fields['Configured Memory Speed'] ?? ($fields['Configured Clock Speed'] ?? ''));
        $this->modules[] = new MemoryModule(
            Plain::word($fields['Locator'] ?? null) ?? 'slot '.(count($this->modules) + 1),
            $bytes === null || $bytes === 0 ? null : Bytes::of($bytes),
            Plain::word($fields['Type'] ?? null),
            Plain::word($fields['Manufacturer'] ?? null),
            Plain::word($fields['Part Number'] ?? null),
            Plain::word($fields['Serial Number'] ?? null),
            Plain::transfers($fields['Speed'] ?? ''),
            $set,
            ($fields['Form Factor'] ?? '') === 'Row Of Chips',
        );
    }

    /** @param  array<string, string>  $fields */
    private function battery(array $fields): void
    {
        if (
            preg_match('/^([0-9]{3,7}) mWh$/', $fields['Design Capacity'] ?? '', $match) === 1 &&
            (int) $match[1] > 0
        ) {
            $this->facts['battery.design_wh'] = round((int) $match[1] / 1000, 1);
        }
    }
}
