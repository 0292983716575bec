<?php

declare(strict_types=1);

namespace App\Devices\StandIn;

use Cobblestone\Machine\Device;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Tuning\Proof\DeviceRows;
use Cobblestone\Tuning\Proof\RowId;

/**
 * A machine at the end of its job that does not exist: prints what open tools would print on it, as the collector
 * keeps it. It is as its path promises, but for the faults it is given.
 */
final readonly class MachineAsFinished
{
    /** Fault => what is wrong then. */
    public const FAULTS = [
        'half-memory' => 'every other module is not seen',
        'slow-memory' => 'the memory runs at half its rate',
        'no-driver' => 'the first device has no driver',
        'old-driver' => 'the first driver that has a version has an old one',
        'other-machine' => 'it is another machine of the model',
        'clock' => 'its clock is set back by years',
        'drive-gone' => 'the last drive is not seen',
        'secure-boot' => 'Secure Boot is the other way round',
    ];

    private const SERIAL = 'QP-000000';

    /**
     * @param  array<string, string>  $rows  row => what is expected of it, the first of several
     * @param  array<string, Evidence>  $evidence  row => the row
     * @param  list<string>  $faults
     */
    private function __construct(
        private Machine $machine,
        private array $rows,
        private array $evidence,
        private array $faults,
        private string $at,
    ) {
    }

    /**
     * @param  list<Evidence>  $rows  what is promised of it
     * @param  list<string>  $faults  keys of FAULTS
     * @param  string  $at  when it is read, as 2026-11-30T12:00:00Z
     */
    public static function of(Machine $machine, array $rows, array $faults, string $at): self
    {
        $expected = $evidence = [];
        foreach ($rows as $row) {
            $expected[$row->id] = explode('|', $row->expected->value ?? '')[0];
            $evidence[$row->id] = $row;
        }

        return new self($machine, $expected, $evidence, $faults, $at);
    }

    /** @return array<string, string> name of a file of the bundle => what is in it */
    public function bundle(): array
    {
        return array_filter([
            'machine/system.txt' => $this->note(),
            'machine/dmidecode.txt' => $this->tables(),
            'machine/lsblk.json' => FinishedDrives::lsblk(
                $this->promised(RowId::DRIVE),
                isset($this->rows['drive_size']) ? (int) $this->rows['drive_size'] : null,
                ($this->rows['encryption'] ?? '') === 'on',
                $this->has('drive-gone'),
            ),
            'machine/devices.csv' => $this->devices(),
            'machine/mokutil.txt' => $this->secureBoot(),
        ]);
    }

    private function has(string $fault): bool
    {
        return in_array($fault, $this->faults, true);
    }

    private function note(): string
    {
        $usable = isset($this->rows['memory_usable']) ? intdiv((int) $this->rows['memory_usable'], 1024) + 65_536 : 0;
        $usable = $this->has('half-memory') ? intdiv($usable, 2) : $usable;
        $system = $this->evidence['system']->options['this'] ?? '';
        $links = [];
        foreach ($this->promised(RowId::LINK) as $identifier => $lanes) {
            $links[] = "link: {$identifier} width {$lanes}";
        }

        return implode("\n", [
            'cobblestone-collect 1',
            'time: '.($this->has('clock') ? '2019-01-01T00:00:00Z' : $this->at),
            'architecture: x86_64',
            ...$usable === 0 ? [] : ["memory usable: {$usable} kB"],
            ...$system === '' ? [] : ["system: {$system}"],
            ...isset($this->rows['build']) ? ["build: {$this->rows['build']}"] : [],
            ...$links,
            'efi folder: present',
        ])."\n";
    }

    /** @return array<string, string> what stands behind the prefix => what is expected */
    private function promised(string $prefix): array
    {
        $of = [];
        foreach ($this->rows as $row => $value) {
            if (str_starts_with($row, $prefix)) {
                $of[substr($row, strlen($prefix))] = $value;
            }
        }

        return $of;
    }

    private function tables(): string
    {
        $serial = $this->machine->fact('machine.serial');
        $product = $this->machine->fact('machine.product');
        $is = $serial->isUnknown() ? self::SERIAL : $serial->text();
        $blocks = [
            [0, 'BIOS Information', ['Version' => $this->rows['firmware_version'] ?? '1.0']],
            [1, 'System Information', [
                'Product Name' => $product->isUnknown() ? $this->machine->title : $product->text(),
                'Serial Number' => $this->has('other-machine') ? "{$is}-other" : $is,
            ]],
        ];
        if (isset($this->rows['cores'])) {
            $blocks[] = [4, 'Processor Information', [
                'Status' => 'Populated, Enabled',
                'Core Count' => $this->rows['cores'],
                ...isset($this->rows['threads']) ? ['Thread Count' => $this->rows['threads']] : [],
            ]];
        }
        foreach ($this->modules() as $module) {
            $blocks[] = [17, 'Memory Device', $module];
        }
        $text = "# dmidecode 3.4\nSMBIOS 3.3.0 present.\n";
        foreach ($blocks as $number => [$type, $title, $fields]) {
            $text .= sprintf("\nHandle 0x%04X, DMI type %d, 40 bytes\n%s\n", $number, $type, $title);
            foreach ($fields as $field => $value) {
                $text .= "\t{$field}: {$value}\n";
            }
        }

        return $text;
    }

    /** @return list<array<string, string>> as many as were read before, else one that holds everything */
    private function modules(): array
    {
        $installed = (int) ($this->rows['memory_installed'] ?? 0);
        if ($installed === 0) {
            return [];
        }
        $fitted = array_values(array_filter(
            $this->machine->modules,
            static fn (MemoryModule $one): bool => ! $one->isEmpty(),
        ));
        $count = max(2, count($fitted));
        $rate = (int) ($this->rows['memory_rate'] ?? 0);
        $modules = [];
        for ($i = 0; $i < $count; $i++) {
            $gone = $this->has('half-memory') && $i % 2 === 1;
            $modules[] = [
                'Locator' => $fitted[$i]->slot ?? "Slot {$i}",
                'Size' => $gone ? 'No Module Installed' : intdiv($installed, $count * 1024 ** 2).' MB',
                ...$rate === 0 || $gone ? [] : [
                    'Configured Memory Speed' => ($this->has('slow-memory') ? intdiv($rate, 2) : $rate).' MT/s',
                ],
            ];
        }

        return $modules;
    }

    private function devices(): string
    {
        $names = array_column(array_map(
            static fn (Device $one): array => [$one->identifier, $one->name],
            $this->machine->devices,
        ), 1, 0);
        $lines = [];
        [$first, $versioned] = [true, true];
        foreach ($this->promised(RowId::DEVICE) as $identifier => $expected) {
            if ($expected === DeviceRows::MISSING) {
                continue;
            }
            $bare = $expected === DeviceRows::BARE || ($first && $this->has('no-driver'));
            $isVersion = $this->evidence[RowId::DEVICE.$identifier]->kind === EvidenceKind::Text;
            $version = $isVersion && $versioned && $this->has('old-driver') ? '0.1' : $expected;
            $versioned = $versioned && ! $isVersion;
            $first = false;
            $lines[] = [$names[$identifier] ?? $identifier, $identifier, $bare ? 'no driver' : 'OK',
                $isVersion && ! $bare ? $version : ''];
        }
        if ($lines === []) {
            return '';
        }

        return "Name,Hardware identifiers,Status,Driver version\n".implode('', array_map(
            static fn (array $cells): string => '"'.implode('","', str_replace('"', '', $cells))."\"\n",
            $lines,
        ));
    }

    private function secureBoot(): string
    {
        $set = $this->rows[RowId::SETTING.'secure_boot'] ?? '';
        if (! in_array($set, ['on', 'off'], true)) {
            return '';
        }

        return ($set === 'on') !== $this->has('secure-boot') ? "SecureBoot enabled\n" : "SecureBoot disabled\n";
    }
}
