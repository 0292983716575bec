<?php

declare(strict_types=1);

namespace Cobblestone\Tuning\Proof;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\AcceptanceRows;
use Cobblestone\Tuning\ProofScope;

/** Rows of what the finished system says of itself, and of the settings it was promised (rule T1). */
final class SystemRows
{
    private const YES = ['yes' => 'yes', 'no' => 'no'];

    private const WORKS = ['works' => 'works', 'fails' => 'does not work', 'none' => 'it has none'];

    /** @return list<Evidence> */
    public static function of(Promises $of, ProofScope $scope): array
    {
        $settings = array_map(
            static fn (PromisedSetting $one): Evidence => self::setting($one, $of),
            $of->settings,
        );

        return array_values(array_filter([
            ...$settings,
            self::encryption($of),
            ...$scope === ProofScope::Firmware ? [] : [
                self::build($of),
                self::activated($of),
                self::sleep(),
            ],
            self::clock($of),
        ]));
    }

    private static function setting(PromisedSetting $one, Promises $of): Evidence
    {
        return AcceptanceRows::row(
            RowId::setting($one->id),
            "{$one->title}, in the setup",
            EvidenceKind::Text,
            new Expected($one->value),
            'Set it as the path says, save, and look once more.',
        )->readBy($of->reads->way('firmware', in_array($one->id, ReadBack::SETTINGS, true)));
    }

    private static function encryption(Promises $of): ?Evidence
    {
        return $of->encrypted === null ? null : AcceptanceRows::choice(
            'encryption',
            'Drive of the system',
            ['on' => 'encrypted', 'off' => 'not encrypted'],
            $of->encrypted ? 'on' : 'off',
            'Without a key that the owner keeps, nothing is encrypted; with one, look why it did not begin.',
        )->readBy($of->reads->way('encryption', true));
    }

    private static function build(Promises $of): ?Evidence
    {
        return $of->build === null ? null : AcceptanceRows::row(
            'build',
            'Build of the system',
            EvidenceKind::Build,
            new Expected((string) $of->build, atLeast: true),
            'A lower build than the medium carries is the old system: look which drive started.',
        )->readBy($of->reads->way('system', false));
    }

    private static function activated(Promises $of): ?Evidence
    {
        return $of->activates ? AcceptanceRows::choice(
            'activated',
            'The system says that it is activated',
            self::YES,
            'yes',
            'Edition first, then the key, then the network.',
        )->readBy($of->reads->way('activation', false)) : null;
    }

    private static function sleep(): Evidence
    {
        return AcceptanceRows::choice(
            'sleep',
            'Sleep and waking up',
            self::WORKS,
            'works|none',
            'Look at the firmware\'s power settings and the graphics driver.',
        );
    }

    private static function clock(Promises $of): Evidence
    {
        return AcceptanceRows::choice(
            'clock',
            'Clock and time zone are right',
            self::YES,
            'yes',
            'Set them; a clock that goes wrong while it is off wants a new cell on the board.',
        )->readBy($of->reads->way('clock', false));
    }
}
