<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

use Cobblestone\Boot\Keys\TrustedSigners;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Model\Outcome;

/** A stick that is made for no machine in particular: what it does on each kind of firmware (rule J1). */
final class KindTable
{
    private const TITLES = [
        'uefi' => 'UEFI, Secure Boot off',
        'uefi-secure' => 'UEFI, Secure Boot in force',
        'bios' => 'the old way (BIOS)',
    ];

    /** @return list<KindFound> */
    public static function of(Medium $medium, string $architecture, TrustedSigners $trusted): array
    {
        $rows = [];
        foreach (StickStart::KINDS as $kind => $facts) {
            $possible = StickStart::predict(
                $medium,
                [
                    ...$facts,
                    'architecture' => $architecture,
                    ...$kind === 'uefi-secure' ? $trusted->unknown() : [],
                ],
                [],
                $trusted,
            );
            $first = $possible->likeliest();
            $several = count($possible->outcomes()) > 1;
            $rows[] = new KindFound(
                $kind,
                self::TITLES[$kind],
                $first->outcome->ofAStick() === 'starts' && ! $several,
                $several
                    ? implode(
                        ', or ',
                        array_map(static fn (Outcome $one): string => $one->title(), $possible->outcomes()),
                    )
                    : $first->outcome->title(),
                $several
                    ? 'It depends on '.self::settledBy($possible->settledBy(), $trusted)
                    : $first->missing()->words ?? $first->stones[count($first->stones) - 2]->words,
            );
        }

        return $rows;
    }

    private static function settledBy(?string $fact, TrustedSigners $trusted): string
    {
        return match (true) {
            $trusted->isSwitch($fact) => 'whether the machine trusts the loader\'s signer.',
            $fact === 'loader.signature' => 'the loader\'s signature, which nobody has looked at.',
            $fact === 'legacy.code' => 'the code in sector 0, which nobody has looked at.',
            default => 'what nobody has looked at yet.',
        };
    }
}
