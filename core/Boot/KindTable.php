<?php

declare(strict_types=1);

namespace Cobblestone\Boot;

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

    /**
     * @param  list<string>  $trusted  signers that machines trust as they come
     * @return list<array{kind: string, title: string, starts: bool, words: string, because: string}>
     */
    public static function of(Medium $medium, string $architecture, array $trusted): array
    {
        $rows = [];
        foreach (StickStart::KINDS as $kind => $facts) {
            $possible = StickStart::predict(
                $medium,
                [
                    ...$facts,
                    'architecture' => $architecture,
                    ...$kind === 'uefi-secure' ? ['firmware.third_party_signer' => null] : [],
                ],
                [],
                $trusted,
            );
            $first = $possible->likeliest();
            $several = count($possible->outcomes()) > 1;
            $rows[] = [
                'kind' => $kind,
                'title' => self::TITLES[$kind],
                'starts' => $first->outcome->ofAStick() === 'starts' && ! $several,
                'words' => $several
                    ? implode(
                        ', or ',
                        array_map(static fn (Outcome $one): string => $one->title(), $possible->outcomes()),
                    )
                    : $first->outcome->title(),
                'because' => $several
                    ? 'It depends on '.
                        match ($possible->settledBy()) {
                            'firmware.third_party_signer' => 'whether the machine trusts the third-party signer.',
                            'loader.signature' => 'the loader\'s signature, which nobody has looked at.',
                            'legacy.code' => 'the code in sector 0, which nobody has looked at.',
                            default => 'what nobody has looked at yet.',
                        }
                    : $first->missing()->words ?? $first->stones[count($first->stones) - 2]->words,
            ];
        }

        return $rows;
    }
}
