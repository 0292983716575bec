<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Tuning\Proof\RowId;

/** One row a reading: what it should be, and where that comes from (rule T1). */
final class AcceptanceRows
{
    /** Usable memory may fall short of what is installed by this share (default of rule T1). */
    private const MEMORY_TOLERANCE = 0.03;

    /** What is said of a function that does not work. */
    public const FAILS = 'fails';

    private const WORKS = ['works' => 'works', 'fails' => 'does not work', 'none' => 'it has none'];

    /** @return list<Evidence> */
    public static function parts(Machine $machine, ?Bytes $graphics): array
    {
        $evidence = [];
        $cores = $machine->fact('cores');
        if (is_int($cores->value)) {
            $evidence[] = self::cores($cores);
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

    public static function driveSize(Drive $target): Evidence
    {
        return self::row(
            RowId::drive($target) ?? 'drive_size',
            'Size of the drive'.($target->model === null ? '' : " {$target->model}"),
            EvidenceKind::Size,
            new Expected((string) $target->size->count, source: Expected::READING),
        );
    }

    private static function cores(Fact $cores): Evidence
    {
        return self::row(
            'cores',
            'Cores',
            EvidenceKind::Count,
            new Expected(
                $cores->text(),
                source: $cores->isKnown() ? Expected::READING : Expected::CATALOGUE,
            ),
        );
    }

    public static function system(SystemProfile $system, ?string $edition): Evidence
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
    public static function functions(Machine $machine, int $unresolved): array
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
        array_push($evidence, ...$machine->kind === Kind::Handheld ? self::handheld() : []);
        if ($machine->ports !== []) {
            $evidence[] = self::row(
                'sockets',
                'Sockets tried and working',
                EvidenceKind::Ticks,
                new Expected(implode(', ', self::sockets($machine->ports)), source: Expected::CATALOGUE),
                'Try another lead; a socket on a lead inside may be off the board.',
            );
        }

        return $evidence;
    }

    /**
     * Each by its kind and place, alike ones numbered.
     *
     * @param  list<Port>  $ports
     * @return list<string>
     */
    private static function sockets(array $ports): array
    {
        $named = array_map(
            static fn (Port $port): string => trim((string) preg_replace(
                '/[,;\s]+/',
                ' ',
                strtoupper($port->connector)." {$port->where}",
            )),
            $ports,
        );
        $alike = array_count_values($named);
        $seen = [];

        return array_map(static function (string $name) use ($alike, &$seen): string {
            $seen[$name] = ($seen[$name] ?? 0) + 1;

            return $alike[$name] > 1 ? "{$name}: {$seen[$name]}" : $name;
        }, $named);
    }

    /** @return list<Evidence> what only a machine that is held has (rule T1) */
    private static function handheld(): array
    {
        return [
            self::choice('pads', 'Buttons, sticks and triggers, each pressed once', self::WORKS, 'works',
                'Look at the name of the pad among the devices; calibrate it, then the other mode of the pad.'),
            self::choice('touch', 'Touch, in all four corners', self::WORKS, 'works|none',
                'A picture on its side turns touch with it: set both.'),
            self::choice('lights', 'Lights', self::WORKS, 'works|none'),
        ];
    }

    public static function row(
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

    /** Two systems on one drive are both started before anybody says that both are there (rule I8). */
    public static function bothStart(string $other): Evidence
    {
        return self::choice('other_starts', ucfirst("{$other} starts too"), ['yes' => 'yes', 'no' => 'no'], 'yes');
    }

    /** @param  array<string, string>  $options */
    public static function choice(
        string $id,
        string $label,
        array $options,
        string $expected,
        string $remedy = '',
    ): Evidence {
        return new Evidence(
            $id,
            $label,
            EvidenceKind::Choice,
            [...$options, 'not read' => 'not read'],
            expected: new Expected($expected),
            overruledBy: ['lead'],
            remedy: $remedy,
            mayBeOpen: true,
        );
    }
}
