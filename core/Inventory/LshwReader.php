<?php

declare(strict_types=1);

namespace Cobblestone\Inventory;

use Cobblestone\Machine\MemoryModule;
use Cobblestone\Quantity\Bytes;

/** Reads `lshw -json`: one object from older versions, a list of one from newer ones (rule A1). */
final class LshwReader
{
    private const DEPTH = 40;

    /** @var array<string, bool|int|float|string|list<string>> */
    private array $facts = [];

    /** @var list<MemoryModule> */
    private array $modules = [];

    private int $cores = 0;

    private int $threads = 0;

    /** @throws UnreadableInventory */
    public static function read(string $text): Reading
    {
        $data = JsonText::decode($text, 'lshw -json', self::DEPTH);
        $roots = array_is_list($data) ? $data : [$data];
        $reader = new self();
        $notes = [];
        foreach ($roots as $index => $root) {
            if (! is_array($root) || ! isset($root['id'], $root['class'])) {
                $notes[] =
                    'lshw: entry '.
                    ($index + 1).
                    ' has no "id" and "class", so it is not a node of lshw; left out.';

                continue;
            }
            $reader->system($root);
            $reader->walk($root, 0);
        }
        if ($reader->cores > 0) {
            $reader->facts['cores'] = $reader->cores;
        }
        if ($reader->threads > 0) {
            $reader->facts['threads'] = $reader->threads;
        }

        return new Reading('lshw', 'pasted', facts: $reader->facts, modules: $reader->modules, notes: $notes);
    }

    /** @param  array<mixed>  $root */
    private function system(array $root): void
    {
        foreach (
            ['vendor' => 'machine.maker', 'product' => 'machine.product', 'serial' => 'machine.serial'] as $key => $fact
        ) {
            $value = Plain::word($root[$key] ?? null);
            if ($value !== null && ($root['class'] ?? '') === 'system') {
                $this->facts[$fact] = $value;
            }
        }
    }

    /** @param  array<mixed>  $node */
    private function walk(array $node, int $depth): void
    {
        match ($node['class'] ?? '') {
            'processor' => $this->processor($node),
            'memory' => $this->memory($node),
            'bus' => $this->board($node),
            default => null,
        };
        foreach (is_array($node['children'] ?? null) && $depth < self::DEPTH ? $node['children'] : [] as $child) {
            if (is_array($child)) {
                $this->walk($child, $depth + 1);
            }
        }
    }

    /** @param  array<mixed>  $node */
    private function processor(array $node): void
    {
        if (($node['disabled'] ?? false) === true) {
            return;
        }
        $configuration = is_array($node['configuration'] ?? null) ? $node['configuration'] : [];
        $this->cores += Plain::count($configuration['cores'] ?? null);
        $this->threads += Plain::count($configuration['threads'] ?? null);
        $capabilities = is_array($node['capabilities'] ?? null) ? $node['capabilities'] : [];
        if (isset($capabilities['x86-64'])) {
            $this->facts['architecture'] = 'x86-64';
        }
        foreach (['capacity', 'size'] as $key) {
            if (is_int($node[$key] ?? null) && ($node['units'] ?? 'Hz') === 'Hz') {
                $this->facts['clock_mhz'] = max(
                    (int) ($this->facts['clock_mhz'] ?? 0),
                    intdiv($node[$key], 1_000_000),
                );
            }
        }
    }

    /** @param  array<mixed>  $node */
    private function memory(array $node): void
    {
        $id = is_string($node['id'] ?? null) ? $node['id'] : '';
        if (str_starts_with($id, 'bank')) {
            $size = is_int($node['size'] ?? null) && $node['size'] > 0 ? Bytes::of($node['size']) : null;
            $this->modules[] = new MemoryModule(
                Plain::word($node['slot'] ?? null) ?? $id,
                $size,
                null,
                Plain::word($node['vendor'] ?? null),
                Plain::word($node['product'] ?? null),
                Plain::word($node['serial'] ?? null),
            );
        } elseif ($id === 'firmware') {
            foreach (['version' => 'firmware.version', 'date' => 'firmware.date'] as $key => $fact) {
                $value = Plain::word($node[$key] ?? null);
                if ($value !== null) {
                    $this->facts[$fact] = $value;
                }
            }
            if (is_array($node['capabilities'] ?? null) && isset($node['capabilities']['uefi'])) {
                $this->facts['firmware.uefi_capable'] = 'yes';
            }
        } elseif (
            preg_match('/^memory(:[0-9]+)?$/', $id) === 1 &&
            is_int($node['size'] ?? null) &&
            ($node['units'] ?? 'bytes') === 'bytes'
        ) {
            $this->facts['memory_bytes'] = (int) ($this->facts['memory_bytes'] ?? 0) + $node['size'];
        }
    }

    /** @param  array<mixed>  $node */
    private function board(array $node): void
    {
        $name = ($node['id'] ?? '') === 'core' ? Plain::word($node['product'] ?? null) : null;
        if ($name !== null) {
            $this->facts['board.name'] = $name;
            $revision = Plain::word($node['version'] ?? null);
            if ($revision !== null) {
                $this->facts['board.revision'] = $revision;
            }
        }
    }
}
