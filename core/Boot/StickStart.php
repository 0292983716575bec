<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Keys\TrustedSigners;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Model\BootDevice;
use Cobblestone\Boot\Model\BootState;
use Cobblestone\Boot\Model\Outcome;

/** One stick, alone, on one kind of firmware or one model: what the firmware does with it (rules B, J1). */
final readonly class StickStart
{
    /** Kinds of firmware that are told apart when no model is named. */
    public const KINDS = [
        'uefi' => ['firmware.kind' => 'uefi', 'firmware.boot_mode' => 'uefi', 'firmware.secure_boot' => 'off'],
        'uefi-secure' => ['firmware.kind' => 'uefi', 'firmware.boot_mode' => 'uefi', 'firmware.secure_boot' => 'on'],
        'bios' => ['firmware.kind' => 'bios', 'firmware.secure_boot' => 'off'],
    ];

    /**
     * @param  array<string, bool|int|float|string|null>  $facts  of the machine; what is not among them is unknown or
     *     not there
     * @param  list<string>  $assumed
     */
    public static function predict(
        Medium $medium,
        array $facts,
        array $assumed = [],
        TrustedSigners $trusted = new TrustedSigners(),
    ): Possibilities {
        return Possibilities::of(
            new BootState(
                $facts,
                $assumed,
                $trusted->always,
                [new BootDevice('stick', 'The stick', BootDevice::STICK, $medium)],
                [],
                ['stick'],
                'stick',
                $trusted->switches,
            ),
        );
    }

    /** @return array<string, mixed> */
    public static function toArray(Possibilities $possible): array
    {
        $first = $possible->likeliest();
        $advice = Advice::for($first);

        return [
            'outcome' => $first->outcome->ofAStick(),
            'ends_in' => $first->outcome->value,
            'chain' => array_map(static fn ($stone): array => $stone->toArray(), $first->stones),
            'ground' => $first->ground->value,
            'seen' => $first->outcome->seen(),
            'cause' => $first->cause(),
            'fix' => $advice->fix,
            'who' => $advice->fix === '' ? null : $advice->who,
            'possible' => array_values(
                array_unique(
                    array_map(static fn (Outcome $outcome): string => $outcome->ofAStick(), $possible->outcomes()),
                ),
            ),
            'settled_by' => $possible->settledBy(),
            'otherwise' => array_map(
                static fn (array $other): array => [
                    'if' => $other['fact'],
                    'is' => $other['value'],
                    'outcome' => $other['prediction']->outcome->ofAStick(),
                ],
                $possible->otherwise,
            ),
        ];
    }
}
