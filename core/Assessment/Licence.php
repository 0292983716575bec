<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Brief\LicenceBlock;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\PathFact;

/** Where the licence comes from, whether its edition matches, and what activating then takes (rule A8). */
final readonly class Licence
{
    private function __construct(public string $kind, public Contribution $contribution)
    {
    }

    /** How it is licensed, as the brief says it, else as somebody answered; empty where nobody has. */
    public static function kindOf(Machine $machine, ?LicenceBlock $licence): string
    {
        return $licence->kind ?? $machine->fact('licence.kind')->text();
    }

    /**
     * @param  list<string>  $after  facts that hold once the system is online and up to date
     */
    public static function assess(
        Machine $machine,
        SystemProfile $system,
        ?string $edition,
        ?LicenceBlock $licence,
        array $after = [PathFact::ONLINE],
    ): self {
        if (! $system->activation) {
            return new self('not needed', new Contribution(initial: [PathFact::ACTIVATED]));
        }
        $kind = self::kindOf($machine, $licence);
        $fits = $licence->edition ?? $machine->fact('licence.edition')->text();
        if (! isset(FactRegistry::offers('licence.kind')[$kind])) {
            return new self(
                'unknown',
                new Contribution(
                    [LicenceStep::step($system, $edition, 'unknown', $after)],
                    [],
                    [
                        FactQuestion::about(
                            'licence.kind',
                            'how it is activated, and whether its edition matches',
                            'A8',
                            40,
                            [Act::UseLicence],
                        )->worded(FactQuestion::text('licence.kind', ['system' => $system->name])),
                    ],
                ),
            );
        }

        return self::assessed($fits, $edition, $kind, $system, $machine, $after);
    }

    /**
     * @param  list<string>  $after
     */
    private static function assessed(
        string $fits,
        ?string $edition,
        string $kind,
        SystemProfile $system,
        Machine $machine,
        array $after,
    ): self {
        $blockers = [];
        if (
            $fits !== '' &&
            $edition !== null &&
            strcasecmp($fits, $edition) !== 0 &&
            $kind !== 'none' &&
            $kind !== 'unclear'
        ) {
            $blockers[] = Blocker::narrow(
                'licence-edition',
                self::wrongEdition($system, $kind, $fits, $edition),
                'A8',
                [Act::Erase, Act::WriteSystem, Act::UseLicence],
                Door::choice('licence.edition', 'Choose the image of the edition that it fits, or another licence.'),
                ["fits edition {$fits}", "wanted edition {$edition}"],
            )->waivableBy('lead');
        }
        [$weighed, $refused] = self::weighed($machine, $kind, $fits, $edition);
        $decision = self::decision($kind, $edition, $weighed, $refused, $fits);

        return new self(
            $kind,
            new Contribution(
                [LicenceStep::step($system, $edition, $kind, $after)],
                [$decision],
                blockers: $blockers,
                assumed: self::taken($fits, $edition, $kind),
            ),
        );
    }

    /**
     * Which edition a licence is for, where nobody has said it of both.
     *
     * @return list<Assumption>
     */
    private static function taken(string $fits, ?string $edition, string $kind): array
    {
        $has = ! in_array($kind, ['none', 'unclear'], true);

        return array_values(array_filter([
            $has && $fits === '' && $edition !== null ? new Assumption(
                'licence.edition',
                "The licence is for edition {$edition}, which is installed: nobody has said which one it is for.",
                'A8, U2',
                Door::choice('licence.edition', 'Say which edition it fits.'),
            ) : null,
            $has && $fits !== '' && $edition === null ? new Assumption(
                'edition',
                "What is installed is edition {$fits}, which the licence is for: nobody has said which one is wanted.",
                'A8, U2',
                Door::choice('image', 'Choose the image of that edition.'),
            ) : null,
        ]));
    }

    /**
     * @param  list<string>  $weighed
     * @param  array<string, list<string>>  $refused
     */
    private static function decision(
        string $kind,
        ?string $edition,
        array $weighed,
        array $refused,
        string $fits,
    ): Decision {
        return new Decision(
            'assess.licence',
            'Licence',
            FactRegistry::offers('licence.kind')[$kind],
            [self::because($kind, $edition), ...$weighed],
            $refused,
            array_values(
                array_filter([
                    "licence.kind = {$kind}",
                    $fits === '' ? null : "fits edition {$fits}",
                    $edition === null ? null : "wanted edition {$edition}",
                ]),
            ),
            'A8',
        );
    }

    /**
     * A machine may be entitled twice: by the key in its firmware and by what the owner has besides. Both are looked
     * at.
     *
     * @return array{0: list<string>, 1: array<string, list<string>>} reasons, and what was refused
     */
    private static function weighed(Machine $machine, string $kind, string $fits, ?string $edition): array
    {
        $inFirmware = $machine->fact('licence.firmware_edition');
        if (! is_string($inFirmware->value) || $kind === 'firmware-key') {
            return [[], []];
        }
        $same = $edition !== null && strcasecmp($inFirmware->value, $edition) === 0;

        return match (true) {
            $same => [
                [
                    "The key in the firmware fits edition {$inFirmware->value} too ({$inFirmware->origin}): nothing "
                        .'has to be typed, and the other entitlement stays free.',
                ],
                [],
            ],
            $edition === null => [
                ["The key in the firmware fits edition {$inFirmware->value} ({$inFirmware->origin})."],
                [],
            ],
            default => [
                [
                    "The key in the firmware fits {$inFirmware->value}, {$edition} is wanted: the medium must ask "
                        ."for the edition, or the installer picks {$inFirmware->value} by itself.",
                ],
                [
                    FactRegistry::offers('licence.kind')['firmware-key'] => [
                        "It fits {$inFirmware->value}, not {$edition}".
                        ($fits === '' ? '.' : "; the other one fits {$fits}."),
                    ],
                ],
            ],
        };
    }

    /** Paper and screens show the last characters of a key at most. */
    public static function masked(string $key): string
    {
        $plain = (string) preg_replace('/[^A-Za-z0-9]/', '', $key);

        return '…'.mb_substr($plain, -min(5, intdiv(mb_strlen($plain), 2)));
    }

    private static function wrongEdition(SystemProfile $system, string $kind, string $fits, string $edition): string
    {
        return $kind === 'firmware-key'
            ? "The key in the firmware fits edition {$fits}, {$edition} is wanted: the installer would "
                ."pick {$fits} by itself. Choose {$fits}, or a medium that asks for the edition."
            : "The key fits edition {$fits} of {$system->name}, and {$edition} is to be installed: activation would "
                ."refuse it. Choose an image with {$fits}, or have the owner get a key for {$edition}.";
    }

    public static function because(string $kind, ?string $edition): string
    {
        return match ($kind) {
            'firmware-key' => 'The installer reads it and picks the edition by itself.',
            'entitlement' => 'Skip the key page and install the same edition'.
                ($edition === null ? '' : ", {$edition}").
                '; it activates by itself once online.',
            'retail' => 'The key is typed now or later; its edition must be the one installed.',
            'none' => 'The job ends with a licence due, not with an active system.',
            default => 'A key of unclear origin is never used: until there is a clear one the licence is due.',
        };
    }
}
