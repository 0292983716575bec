<?php

declare(strict_types=1);

namespace Cobblestone\Hardware\Erasure;

/** Which way for which drive, and why the others are not it (rule L5). */
final readonly class ErasureAdvice
{
    /** @param  array<string, string>  $out  way => why it cannot be it; the best way is not in it */
    private function __construct(public ErasureWay $best, public array $out, public string $caution)
    {
    }

    public static function of(ErasableDrive $drive): self
    {
        $out = array_filter([
            ErasureWay::Sanitize->value => match (true) {
                ! $drive->canSanitize => 'The drive has no such command.',
                $drive->isFailing => 'A failing drive may say that it is done, and not be.',
                default => '',
            },
            ErasureWay::Crypto->value => match (true) {
                ! $drive->encrypts => 'It does not keep all that it holds behind a key of its own.',
                $drive->isFailing => 'A failing drive may say that it is done, and not be.',
                default => '',
            },
            ErasureWay::Overwrite->value => $drive->isFailing
                ? 'Sectors that it has put aside are not reached any more, and what they hold stays readable.'
                : '',
        ]);
        $best = match (true) {
            $drive->isFailing => ErasureWay::Destroyed,
            ! isset($out[ErasureWay::Sanitize->value]) && $drive->isFlash => ErasureWay::Sanitize,
            ! isset($out[ErasureWay::Crypto->value]) => ErasureWay::Crypto,
            default => ErasureWay::Overwrite,
        };

        return new self($best, $out, self::cautionOf($best, $drive));
    }

    /** @return list<ErasureWay> the best one first */
    public function ways(): array
    {
        $ways = array_filter(
            ErasureWay::cases(),
            fn (ErasureWay $one): bool => $one !== $this->best && ! isset($this->out[$one->value]),
        );

        return [$this->best, ...array_values($ways)];
    }

    /** What the certificate has to say besides, where that way is taken; empty where nothing. */
    public static function cautionOf(ErasureWay $way, ErasableDrive $drive): string
    {
        return $way === ErasureWay::Overwrite && $drive->isFlash
            ? 'The drive keeps cells in reserve that an overwrite does not reach: a laboratory could find remains.'
            : '';
    }
}
