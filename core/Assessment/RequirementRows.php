<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\SecureBootState;
use Cobblestone\Quantity\Bytes;

/** The needs of a system profile, one row each, held against the machine (rules A2, A10). */
final readonly class RequirementRows
{
    private function __construct(private Machine $machine, private SystemProfile $system)
    {
    }

    /** @return list<Requirement> */
    public static function of(Machine $machine, SystemProfile $system, ?Image $image, ?Drive $target, ?string $edition, bool $newDrive = false): array
    {
        $rows = new self($machine, $system);

        return array_values(array_filter([
            $rows->architecture($image), $rows->memory(), $rows->drive($target, $newDrive), $rows->number('cores', 'Cores', 'cores', ''), $rows->number('clock_mhz', 'Clock', 'clock_mhz', ' MHz'),
            $rows->uefi(), $rows->secureBoot(), $rows->securityChip(), $rows->graphics(), $rows->number('display_pixels', 'Display height', 'display.pixels', ' pixels'), ...$rows->ceilings($edition),
        ]));
    }

    private function architecture(?Image $image): ?Requirement
    {
        $wanted = $image?->architecture !== null ? [$image->architecture] : $this->system->needs->architectures;
        if ($wanted === []) {
            return null;
        }
        $fact = $this->machine->fact('architecture');
        $fits = in_array($fact->value, $wanted, true);

        return new Requirement('architecture', 'Architecture', implode(' or ', $wanted), self::said($fact), $fact->isUnknown() ? Requirement::UNKNOWN : ($fits ? Requirement::MEETS : Requirement::SHORT),
            $fits || $fact->isUnknown() ? '' : 'Choose an image made for '.$fact->spoken().'.', question: 'architecture');
    }

    private function memory(): ?Requirement
    {
        $need = $this->system->needs->memoryBytes;
        $fact = $this->machine->fact('memory_bytes');
        if ($need === null) {
            return null;
        }
        $has = is_int($fact->value) ? Bytes::of($fact->value) : null;

        return new Requirement('memory', 'Memory', Bytes::of($need)->binary(), $has === null ? 'unknown' : "{$has->binary()} ({$fact->origin})", self::compare($has?->count, $need), self::bytesNote($has?->count, $need, true), $this->bypassable('memory'), 'memory_bytes');
    }

    private function drive(?Drive $target, bool $newDrive): ?Requirement
    {
        $need = $this->system->needs->driveBytes;
        if ($need === null) {
            return null;
        }
        $assumed = $this->machine->fact('drive_bytes');
        $bytes = $target !== null ? $target->size->count : (is_int($assumed->value) && ! $newDrive ? $assumed->value : null);
        $source = $target !== null ? 'reading of the drive' : $assumed->origin;

        return new Requirement('drive', 'Drive', Bytes::of($need)->decimal(), $bytes === null ? 'unknown' : Bytes::of($bytes)->decimal()." ({$source})", self::compare($bytes, $need), self::bytesNote($bytes, $need, false));
    }

    private function number(string $need, string $title, string $factName, string $unit): ?Requirement
    {
        $least = $need === 'clock_mhz' ? $this->system->needs->clockMhz : ($need === 'cores' ? $this->system->needs->cores : $this->system->needs->displayPixels);
        if ($least === null) {
            return null;
        }
        $fact = $this->machine->fact($factName);
        $value = is_numeric($fact->value) ? (int) $fact->value : null;
        $note = $value === null ? '' : ($value >= $least ? ($value - $least).$unit.' to spare' : 'short by '.($least - $value).$unit);

        return new Requirement($need, $title, "{$least}{$unit}", $value === null ? 'unknown' : "{$value}{$unit} ({$fact->origin})", self::compare($value, $least), $note, $this->bypassable($need), $factName);
    }

    private function uefi(): ?Requirement
    {
        if ($this->system->firmware->bootMode !== 'uefi') {
            return null;
        }
        $kind = $this->machine->fact('firmware.kind');
        $mode = $this->machine->fact('firmware.boot_mode');
        [$verdict, $note] = match (true) {
            $kind->is('bios') => [Requirement::SHORT, 'This machine has no UEFI.'],
            $kind->isUnknown() => [Requirement::UNKNOWN, ''],
            $mode->is('legacy') || $mode->is('both') => [Requirement::AFTER_SETTING, 'Start '
                ."mode: {$mode->spoken()} becomes uefi."],
            default => [Requirement::MEETS, ''],
        };

        return new Requirement('uefi', 'UEFI', 'starts by '
            .'UEFI', self::said($kind), $verdict, $note, $this->bypassable('uefi'), 'firmware.kind');
    }

    private function secureBoot(): ?Requirement
    {
        $need = $this->system->needs->secureBoot ?? null;
        if ($need === null) {
            return null;
        }
        $set = $this->machine->fact('firmware.secure_boot');
        $force = $this->machine->fact('firmware.secure_boot_in_force');
        $capable = $this->machine->fact('firmware.secure_boot_capable');
        $isUefi = $this->machine->fact('firmware.kind');
        $state = SecureBootState::of($this->machine->facts);
        [$verdict, $note] = match (true) {
            $capable->is('no') || $isUefi->is('bios') => [Requirement::SHORT, 'This machine cannot check signatures.'],
            $force->is('on') => [Requirement::MEETS, 'In force.'],
            $set->is('on') && $state->inForce === false => [
                $need === 'capable' ? Requirement::MEETS : Requirement::AFTER_SETTING,
                $state->because,
            ],
            $set->is('on') && $force->isUnknown() => [$need === 'capable' ? Requirement::MEETS : Requirement::UNKNOWN, 'Set; whether it is in force shows a reading of mokutil.'],
            $set->is('off') || $force->is('off') => [$need === 'capable' ? Requirement::MEETS : Requirement::AFTER_SETTING, $need === 'capable' ? 'Capable, off at the moment.' : 'Has to be turned on, with keys enrolled.'],
            default => [Requirement::UNKNOWN, ''],
        };

        return new Requirement('secure_boot', 'Secure Boot', $need === 'capable' ? 'capable of it' : 'in force', $set->isUnknown() && ! $force->isUnknown() ? self::said($force) : self::said($set), $verdict, $note, $this->bypassable('secure_boot'), 'firmware.secure_boot');
    }

    private function securityChip(): ?Requirement
    {
        if (! $this->system->firmware->securityChip) {
            return null;
        }
        $version = $this->system->needs->securityChipVersion ?? null;
        $has = $this->machine->fact('security_chip.version');
        $setting = $this->machine->fact('firmware.security_chip');
        $old = $version !== null && ! $has->isUnknown() && version_compare((string) $has->spoken(), (string) $version, '<');
        [$verdict, $note] = match (true) {
            $has->is('none') => [Requirement::SHORT, 'This machine has no security chip.'],
            $old => [Requirement::SHORT, "Its version is {$has->spoken()}."],
            $setting->is('hidden') || $setting->is('off') => [Requirement::AFTER_SETTING, 'Security '
                ."chip: {$setting->spoken()} becomes on."],
            ! $has->isUnknown() || $setting->is('on') => [Requirement::MEETS, ''],
            default => [Requirement::UNKNOWN, ''],
        };

        return new Requirement('security_chip', 'Security '
            .'chip', $version === null ? 'present' : "version {$version}", $has->isUnknown() ? self::said($setting) : "version {$has->spoken()} ({$has->origin})", $verdict, $note, $this->bypassable('security_chip'), 'security_chip.version');
    }

    private function graphics(): ?Requirement
    {
        $feature = $this->system->needs->graphicsFeature;
        if ($feature === null) {
            return null;
        }
        $fact = $this->machine->fact('graphics.features');
        $features = is_array($fact->value) ? $fact->value : explode(', ', (string) $fact->value);
        $verdict = $fact->isUnknown() ? Requirement::UNKNOWN : (in_array($feature, $features, true) ? Requirement::MEETS : Requirement::SHORT);

        return new Requirement('graphics_feature', 'Graphics', $feature, self::said($fact), $verdict, '', $this->bypassable('graphics_feature'), 'graphics.features');
    }

    /** @return list<Requirement> what an edition leaves unused (rule A10); never a reason against, always said */
    private function ceilings(?string $edition): array
    {
        $ceiling = $this->system->ceilings[$edition ?? ''] ?? null;
        $rows = [];
        $memory = $this->machine->fact('memory_bytes')->value;
        if ($ceiling?->memoryBytes !== null && is_int($memory)) {
            $most = Bytes::of($ceiling->memoryBytes);
            $over = $memory > $most->count;
            $rows[] = new Requirement('memory_ceiling', 'Memory used at '
                .'most', "{$most->binary()} in edition {$edition}", Bytes::of($memory)->binary(), $over ? Requirement::SHORT : Requirement::MEETS, $over ? Bytes::of($memory - $most->count)->binary().' would lie idle; another edition uses them.' : '', true);
        }
        $sockets = $this->machine->fact('sockets')->value;
        if ($ceiling?->sockets !== null && is_numeric($sockets)) {
            $over = (int) $sockets > $ceiling->sockets;
            $rows[] = new Requirement('socket_ceiling', 'Processors used at '
                .'most', "{$ceiling->sockets} in edition {$edition}", (string) $sockets, $over ? Requirement::SHORT : Requirement::MEETS, $over ? 'The others would lie idle; another edition uses them.' : '', true);
        }

        return $rows;
    }

    private function bypassable(string $id): bool
    {
        return in_array($id, $this->system->bypass->of ?? [], true);
    }

    private static function compare(?int $has, int $need): string
    {
        return $has === null ? Requirement::UNKNOWN : ($has >= $need ? Requirement::MEETS : Requirement::SHORT);
    }

    private static function bytesNote(?int $has, int $need, bool $binary): string
    {
        if ($has === null) {
            return '';
        }
        $difference = Bytes::of(abs($has - $need));
        $words = $binary ? $difference->binary() : $difference->decimal();

        return $has >= $need ? "{$words} to spare" : "short by {$words}";
    }

    private static function said(Fact $fact): string
    {
        return $fact->isUnknown() ? 'unknown' : "{$fact->spoken()} ({$fact->origin})";
    }
}
