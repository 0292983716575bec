<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\SecureBootState;

/** What a system wants of the firmware: UEFI, Secure Boot, the security chip (rules A2, F2). */
final readonly class FirmwareRequirements
{
    public function __construct(private Machine $machine, private SystemProfile $system)
    {
    }

    public function uefi(): ?Requirement
    {
        if ($this->system->firmware->bootMode !== 'uefi') {
            return null;
        }
        $kind = $this->machine->fact('firmware.kind');
        $mode = $this->machine->fact('firmware.boot_mode');
        [$verdict, $note] = match (true) {
            $kind->is('bios') => [Requirement::SHORT, 'This machine has no UEFI.'],
            $kind->isUnknown() => [Requirement::UNKNOWN, ''],
            $mode->is('legacy') || $mode->is('both') => [
                Requirement::AFTER_SETTING,
                "Start mode: {$mode->spoken()} becomes uefi.",
            ],
            default => [Requirement::MEETS, ''],
        };

        return new Requirement(
            'uefi',
            'UEFI',
            'starts by UEFI',
            Requirement::said($kind),
            $verdict,
            $note,
            $this->system->letsPass('uefi'),
            'firmware.kind',
        );
    }

    public function secureBoot(): ?Requirement
    {
        $need = $this->system->needs->secureBoot ?? null;
        if ($need === null) {
            return null;
        }
        $set = $this->machine->fact('firmware.secure_boot');
        $force = $this->machine->fact('firmware.secure_boot_in_force');
        [$verdict, $note] = $this->secureBootNow($need === 'capable');

        return new Requirement(
            'secure_boot',
            'Secure Boot',
            $need === 'capable' ? 'capable of it' : 'in force',
            Requirement::said($set->isUnknown() && ! $force->isUnknown() ? $force : $set),
            $verdict,
            $note,
            $this->system->letsPass('secure_boot'),
            'firmware.secure_boot',
        );
    }

    /** @return array{0: string, 1: string} verdict and note */
    private function secureBootNow(bool $capableIsEnough): array
    {
        $fact = fn (string $name) => $this->machine->fact("firmware.{$name}");
        [$set, $force] = [$fact('secure_boot'), $fact('secure_boot_in_force')];
        $state = SecureBootState::of($this->machine->facts);
        $or = static fn (string $else): string => $capableIsEnough ? Requirement::MEETS : $else;

        return match (true) {
            $fact('secure_boot_capable')->is('no') || $fact('kind')->is('bios') => [
                Requirement::SHORT,
                'This machine cannot check signatures.',
            ],
            $force->is('on') => [Requirement::MEETS, 'In force.'],
            $set->is('on') && $state->inForce === false => [$or(Requirement::AFTER_SETTING), $state->because],
            $set->is('on') && $force->isUnknown() => [
                $or(Requirement::UNKNOWN),
                'Set; whether it is in force shows a reading of mokutil.',
            ],
            $set->is('off') || $force->is('off') => [
                $or(Requirement::AFTER_SETTING),
                $capableIsEnough ? 'Capable, off at the moment.' : 'Has to be turned on, with keys enrolled.',
            ],
            default => [Requirement::UNKNOWN, ''],
        };
    }

    public function securityChip(): ?Requirement
    {
        if (! $this->system->firmware->securityChip) {
            return null;
        }
        $least = $this->system->needs->securityChipVersion ?? null;
        $has = $this->machine->fact('security_chip.version');
        $setting = $this->machine->fact('firmware.security_chip');
        $old = $least !== null && ! $has->isUnknown() && version_compare((string) $has->spoken(), (string) $least, '<');
        [$verdict, $note] = match (true) {
            $has->is('none') => [Requirement::SHORT, 'This machine has no security chip.'],
            $old => [Requirement::SHORT, "Its version is {$has->spoken()}."],
            $setting->is('hidden') || $setting->is('off') => [
                Requirement::AFTER_SETTING,
                "Security chip: {$setting->spoken()} becomes on.",
            ],
            ! $has->isUnknown() || $setting->is('on') => [Requirement::MEETS, ''],
            default => [Requirement::UNKNOWN, ''],
        };

        return new Requirement(
            'security_chip',
            'Security chip',
            $least === null ? 'present' : "version {$least}",
            $has->isUnknown() ? Requirement::said($setting) : "version {$has->spoken()} ({$has->origin})",
            $verdict,
            $note,
            $this->system->letsPass('security_chip'),
            'security_chip.version',
        );
    }
}
