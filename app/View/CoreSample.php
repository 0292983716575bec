<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\CoreDrawing;
use Cobblestone\Findings\Layouts;
use Cobblestone\Findings\StickFound;
use Cobblestone\Findings\TargetFound;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\WorksOn;
use Cobblestone\Storage\DeviceLayout;
use Cobblestone\Storage\DevicePart;

/**
 * The two devices of a path as what the core drawings and their tables take.
 *
 * @phpstan-import-type Part from CoreDrawing
 */
final class CoreSample
{
    /** What is left over is drawn from this part of the device on. */
    private const WORTH_DRAWING = 200;

    /** @return list<CoreFigure> */
    public static function of(Plan $plan): array
    {
        return array_values(array_filter([self::on($plan, WorksOn::Target), self::on($plan, WorksOn::Stick)]));
    }

    /** One of them; null where the path has none, or cannot lay it out. */
    public static function on(Plan $plan, WorksOn $device): ?CoreFigure
    {
        $layouts = Layouts::of($plan);

        return match ($device) {
            WorksOn::Target => $layouts->target === null ? null : self::target($layouts->target),
            WorksOn::Stick => $layouts->stick?->after === null
                ? null
                : self::stick($layouts->stick, $layouts->stick->after),
        };
    }

    private static function target(TargetFound $target): CoreFigure
    {
        $now = match (true) {
            $target->now !== null => array_map(
                static fn (DevicePart $part): array => self::part($part, $target->sectorBytes, 'old', ! $part->stays),
                $target->now,
            ),
            $target->assumed => null,
            default => [self::whole('contents not read', $target->bytes, 'old', false)],
        };
        $title = 'Target drive'.($target->model === null ? '' : " · {$target->model}");

        return self::core($title, self::note($target), $target->bytes, $now, $target->after);
    }

    private static function note(TargetFound $target): string
    {
        return implode(' ', array_filter([
            $target->assumed ? 'Its size is assumed from the catalogue until the drive is read.' : null,
            ! $target->assumed && ! $target->read ? 'What is on it was not read.' : null,
            $target->sectorAssumed ? 'Sectors of 512 bytes are assumed: nobody has read their size.' : null,
            ! $target->assumed && ! $target->proven ? 'It reports no serial of its own.' : null,
        ]));
    }

    private static function stick(StickFound $stick, DeviceLayout $after): CoreFigure
    {
        $blank = $stick->contents === 'blank';
        $now = [self::whole($stick->contents ?? 'whatever is on it', $stick->bytes, $blank ? 'free' : 'old', ! $blank)];
        $note = $after->label === null ? 'Written raw, with the table of the image.' : "Label {$after->label}.";

        return self::core("Stick · {$stick->name}", $note, $stick->bytes, $now, $after);
    }

    /** @param  list<Part>|null  $now */
    private static function core(string $title, string $note, int $bytes, ?array $now, DeviceLayout $layout): CoreFigure
    {
        $after = array_map(static fn (DevicePart $part): array => self::part(
            $part,
            $layout->sectorBytes,
            isset(CoreDrawing::ROLES[$part->role]) ? $part->role : 'data',
            false,
        ), $layout->partitions);
        $end = max([0, ...array_map(static fn (array $part): int => $part['from'] + $part['bytes'], $after)]);
        $drawn =
            $bytes - $end > $bytes / self::WORTH_DRAWING
                ? [...$after, ['name' => 'unused', 'from' => $end, 'bytes' => $bytes - $end, 'role' => 'free']]
                : $after;

        return new CoreFigure($title, $note, $bytes, $layout->sectorBytes, $layout->scheme, $now, $after, $drawn);
    }

    /** @return Part */
    private static function part(DevicePart $part, int $sector, string $role, bool $lost): array
    {
        return [
            'name' => $part->name,
            'from' => ($part->firstSector ?? 0) * $sector,
            'bytes' => $part->bytes,
            'role' => $role,
            'lost' => $lost,
            'first_sector' => $part->firstSector,
            'sectors' => $part->sectors,
            'file_system' => $part->fileSystem,
        ];
    }

    /** @return Part */
    private static function whole(string $name, int $bytes, string $role, bool $lost): array
    {
        return [
            'name' => $name,
            'from' => 0,
            'bytes' => $bytes,
            'role' => $role,
            'lost' => $lost,
            'first_sector' => null,
            'sectors' => null,
        ];
    }
}
