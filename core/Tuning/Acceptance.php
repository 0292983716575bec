<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The readings that prove the machine, row by row, as far as their expected values are known (rules T1, K3). */
final class Acceptance
{
    /** Usable memory may fall short of what is installed by this share (default of rule T1). */
    private const MEMORY_TOLERANCE = 0.03;

    private const WORKS = ['works' => 'works', 'fails' => 'does not work', 'none' => 'it has none'];

    /**
     * @param  list<string>|null  $before  facts that must hold first, where the path is not an install
     * @param  Bytes|null  $graphics  what the graphics take of the memory
     * @param  int  $unresolved  devices that no package is known for
     */
    public static function step(
        Machine $machine,
        ?SystemProfile $system,
        ?string $edition,
        ?Drive $target,
        ?array $before = null,
        ProofScope $scope = ProofScope::Whole,
        ?Bytes $graphics = null,
        int $unresolved = 0,
    ): Step {
        $evidence = [
            ...self::parts($machine, $graphics),
            ...$target === null
                ? []
                : [
                    self::row(
                        'drive_size',
                        'Size of the drive',
                        EvidenceKind::Size,
                        new Expected((string) $target->size->count, source: Expected::READING),
                    ),
                ],
            ...$system === null || $scope === ProofScope::Firmware ? [] : [self::system($system, $edition)],
            ...$scope === ProofScope::Firmware
                ? [
                    self::choice(
                        'starts',
                        'The system starts as before',
                        ['yes' => 'yes, twice', 'no' => 'no'],
                        'yes',
                    ),
                ]
                : self::functions($machine, $unresolved),
            ...$scope === ProofScope::Whole
                ? [
                    self::row(
                        'updates_found',
                        'Updates found by a second look',
                        EvidenceKind::Count,
                        new Expected('0'),
                        'Install them, restart, look once more.',
                    ),
                ]
                : [],
        ];

        return new Step(
            'proof.readings',
            Stage::Proof,
            'Readings',
            Presence::Hands,
            Estimate::minutes(3, 6, 20),
            [
                'Read each of these on the finished machine and write down what it says. A reading that cannot be '
                    .'made: "not read".',
            ],
            before: $before ?? [
                PathFact::DRIVERS_COMPLETE,
                PathFact::UPDATED,
                ...$system->activation ?? false ? [PathFact::ACTIVATED] : [],
            ],
            after: [PathFact::PROVEN],
            needs: ['hands'],
            done: DoneWords::of(
                'The finished machine was read and compared with what it should be',
                ...array_map(static fn (Evidence $one): string => $one->id, $evidence),
            ),
            because: [
                new Reason(
                    'Expected values come from what was read before and from the profile; a missing reading stays '
                        .'open, it is not assumed.',
                    'T1',
                    $system?->dated() ?? 'readings of this machine',
                ),
            ],
            evidence: $evidence,
        );
    }

    /** @return list<Evidence> */
    private static function parts(Machine $machine, ?Bytes $graphics): array
    {
        $evidence = [];
        $cores = $machine->fact('cores');
        if (is_int($cores->value)) {
            $evidence[] = self::row(
                'cores',
                'Cores',
                EvidenceKind::Count,
                new Expected(
                    (string) $cores->value,
                    source: $cores->isKnown() ? Expected::READING : Expected::CATALOGUE,
                ),
            );
        }
        $memory = $machine->fact('memory_bytes');
        if (is_int($memory->value)) {
            $usable = max(0, $memory->value - ($graphics->count ?? 0));
            $least = (int) floor($usable * (1 - self::MEMORY_TOLERANCE));
            $hint =
                'at least '.
                Bytes::of($least)->binary().
                ' of '.
                Bytes::of($memory->value)->binary().
                ($graphics === null ? '' : ", {$graphics->binary()} of it for the graphics");
            $evidence[] = self::row(
                'memory_usable',
                'Memory that the system can use',
                EvidenceKind::Size,
                new Expected(
                    (string) $least,
                    source: $memory->isKnown() ? Expected::READING : Expected::CATALOGUE,
                    atLeast: true,
                ),
                'Count the modules in the setup; look at the picture memory there.',
                $hint,
            );
        }

        return $evidence;
    }

    private static function system(SystemProfile $system, ?string $edition): Evidence
    {
        $editions = $edition === null ? [] : array_values(array_unique([...$system->editions, $edition]));
        if ($editions === []) {
            return self::choice(
                'system',
                'System that its own page shows',
                ['this' => $system->name, 'other' => 'another one'],
                'this',
            );
        }

        return self::choice(
            'system',
            "Edition of {$system->name} that its own page shows",
            [...array_combine($editions, $editions), 'other' => 'another system'],
            (string) $edition,
        );
    }

    /** @return list<Evidence> */
    private static function functions(Machine $machine, int $unresolved): array
    {
        $evidence = [
            self::row(
                'without_driver',
                'Devices without a driver',
                EvidenceKind::Count,
                new Expected((string) $unresolved),
                'Each identifier that is left belongs into a note.',
            ),
            self::choice('sound', 'Sound', self::WORKS, 'works|none'),
        ];
        if ($machine->kind->isPortable()) {
            $evidence[] = self::choice('camera', 'Camera', self::WORKS, 'works|none');
        }
        $evidence[] = self::choice('wireless', 'Wireless', self::WORKS, 'works|none');
        if ($machine->ports !== []) {
            $evidence[] = self::row(
                'sockets',
                'Sockets tried and working',
                EvidenceKind::Count,
                new Expected((string) count($machine->ports), source: Expected::CATALOGUE, atLeast: true),
            );
        }

        return $evidence;
    }

    private static function row(
        string $id,
        string $label,
        EvidenceKind $kind,
        Expected $expected,
        string $remedy = '',
        ?string $hint = null,
    ): Evidence {
        return new Evidence(
            $id,
            $label,
            $kind,
            hint: $hint,
            expected: $expected,
            overruledBy: ['lead'],
            remedy: $remedy,
            mayBeOpen: true,
        );
    }

    /** @param  array<string, string>  $options */
    private static function choice(string $id, string $label, array $options, string $expected): Evidence
    {
        return new Evidence(
            $id,
            $label,
            EvidenceKind::Choice,
            [...$options, 'not read' => 'not read'],
            expected: new Expected($expected),
            overruledBy: ['lead'],
            mayBeOpen: true,
        );
    }
}
