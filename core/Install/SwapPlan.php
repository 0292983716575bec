<?php

declare(strict_types=1);

namespace Cobblestone\Install;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Machine;
use Cobblestone\Policy\Policy;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Decision;

/** How much of the drive memory may be moved to, by the bench's school and what the system can (rule I3). */
final readonly class SwapPlan
{
    /** A file of this size is enough for what is moved aside (default). */
    private const FILE_GIB = 8;

    private const GIB = 1_073_741_824;

    private function __construct(public Bytes $size, public ?Decision $decision)
    {
    }

    /** Nothing is decided for a system that sees to it itself. */
    public static function of(Machine $machine, SystemProfile $system, Policy $policy): self
    {
        $memory = $machine->fact('memory_bytes')->value;
        if ($system->swap === null) {
            return new self(Bytes::of(0), null);
        }
        $school = $policy->school('swap');
        if (! is_int($memory) || $memory < 1) {
            return new self(Bytes::of(0), self::decision('as the installer proposes', [
                'Nobody has read how much memory this machine has.',
            ], $school));
        }
        $why = self::whyNoHibernation($system, $school);

        return match (true) {
            $school === 'none' => new self(Bytes::of(0), self::decision('none', ['The bench wants none.'], $school)),
            $school === 'hibernation' && $why === '' => self::hibernation($memory, $school),
            default => self::file($memory, $school, $why),
        };
    }

    private static function hibernation(int $memory, string $school): self
    {
        $gib = $memory / self::GIB;
        $size = Bytes::gibi((int) ceil($gib + sqrt($gib)));

        return new self($size, self::decision("{$size->binary()}, enough to hibernate", [
            sprintf('%.1f GiB of memory and its square root, %.1f GiB, rounded up.', $gib, sqrt($gib)),
            'On an encrypted drive it is encrypted too.',
        ], $school));
    }

    private static function file(int $memory, string $school, string $why): self
    {
        $size = Bytes::of(min($memory, self::FILE_GIB * self::GIB));

        return new self($size, self::decision("a file of {$size->binary()}", [
            $memory <= self::FILE_GIB * self::GIB
                ? 'As much as it has memory.'
                : 'Memory is '.Bytes::of($memory)->binary().'; more than '.self::FILE_GIB.' GiB is seldom used.',
            ...$why === '' ? [] : [$why],
        ], $school));
    }

    /** Empty where nothing is against it, or nobody wants it. */
    private static function whyNoHibernation(SystemProfile $system, string $school): string
    {
        return match (true) {
            $school !== 'hibernation' => '',
            $system->swap?->hibernates !== true => "{$system->name} cannot hibernate.",
            $system->firmware->secureBootAfter === 'on' && ! $system->swap->underSecureBoot => "{$system->name} cannot "
                .'hibernate while Secure Boot is in force, and it stays on.',
            default => '',
        };
    }

    /** @param  list<string>  $reasons */
    private static function decision(string $chosen, array $reasons, string $school): Decision
    {
        return new Decision(
            'install.swap',
            'Room that memory may be moved to',
            $chosen,
            $reasons,
            [],
            ["policy swap = {$school}"],
            'I3',
        );
    }
}
