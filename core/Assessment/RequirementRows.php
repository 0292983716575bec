<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;

/** The needs of a system profile, one row each, held against the machine (rules A2, A10). */
final readonly class RequirementRows
{
    private function __construct(private Machine $machine, private SystemProfile $system)
    {
    }

    /** @return list<Requirement> */
    public static function of(InstallWish $wish): array
    {
        [$machine, $system] = [$wish->machine, $wish->system];
        $rows = new self($machine, $system);
        $firmware = new FirmwareRequirements($machine, $system);
        $needs = $system->needs;

        return array_values(array_filter([
            $rows->architecture($wish->image),
            $rows->memory(),
            $rows->drive($wish->target, $wish->newDrive),
            $rows->number('cores', 'Cores', $needs->cores, 'cores', ''),
            $rows->number('clock_mhz', 'Clock', $needs->clockMhz, 'clock_mhz', ' MHz'),
            $firmware->uefi(),
            $firmware->secureBoot(),
            $firmware->securityChip(),
            $rows->graphics(),
            $rows->number('display_pixels', 'Display height', $needs->displayPixels, 'display.pixels', ' pixels'),
            $rows->memoryCeiling($wish->edition),
            $rows->socketCeiling($wish->edition),
        ]));
    }

    private function architecture(?Image $image): ?Requirement
    {
        $wanted = $image?->architecture !== null ? [$image->architecture] : $this->system->needs->architectures;
        if ($wanted === []) {
            return null;
        }
        $fact = $this->machine->fact('architecture');
        $fits = $fact->isUnknown() ? null : in_array($fact->value, $wanted, true);

        return new Requirement(
            'architecture',
            'Architecture',
            implode(' or ', $wanted),
            Requirement::said($fact),
            Requirement::judged($fits),
            $fits === false ? "Choose an image made for {$fact->spoken()}." : '',
            question: 'architecture',
        );
    }

    private function memory(): ?Requirement
    {
        $need = $this->system->needs->memoryBytes;
        $fact = $this->machine->fact('memory_bytes');
        if ($need === null) {
            return null;
        }
        $has = is_int($fact->value) ? Bytes::of($fact->value) : null;

        return new Requirement(
            'memory',
            'Memory',
            Bytes::of($need)->binary(),
            $has === null ? 'unknown' : "{$has->binary()} ({$fact->origin})",
            self::compare($has?->count, $need),
            self::bytesNote($has?->count, $need, true),
            $this->system->letsPass('memory'),
            'memory_bytes',
        );
    }

    private function drive(?Drive $target, bool $newDrive): ?Requirement
    {
        $need = $this->system->needs->driveBytes;
        if ($need === null) {
            return null;
        }
        $fact = $this->machine->fact('drive_bytes');
        $assumed = is_int($fact->value) && ! $newDrive ? $fact->value : null;
        $bytes = $target !== null ? $target->size->count : $assumed;
        $source = $target !== null ? 'reading of the drive' : $fact->origin;

        return new Requirement(
            'drive',
            'Drive',
            Bytes::of($need)->decimal(),
            $bytes === null ? 'unknown' : Bytes::of($bytes)->decimal()." ({$source})",
            self::compare($bytes, $need),
            self::bytesNote($bytes, $need, false),
        );
    }

    private function number(string $id, string $title, ?int $least, string $factName, string $unit): ?Requirement
    {
        if ($least === null) {
            return null;
        }
        $fact = $this->machine->fact($factName);
        $value = is_numeric($fact->value) ? (int) $fact->value : null;

        return new Requirement(
            $id,
            $title,
            "{$least}{$unit}",
            $value === null ? 'unknown' : "{$value}{$unit} ({$fact->origin})",
            self::compare($value, $least),
            match (true) {
                $value === null => '',
                $value >= $least => ($value - $least).$unit.' to spare',
                default => 'short by '.($least - $value).$unit,
            },
            $this->system->letsPass($id),
            $factName,
        );
    }

    private function graphics(): ?Requirement
    {
        $feature = $this->system->needs->graphicsFeature;
        if ($feature === null) {
            return null;
        }
        $fact = $this->machine->fact('graphics.features');
        $features = is_array($fact->value) ? $fact->value : explode(', ', (string) $fact->value);

        return new Requirement(
            'graphics_feature',
            'Graphics',
            $feature,
            Requirement::said($fact),
            Requirement::judged($fact->isUnknown() ? null : in_array($feature, $features, true)),
            '',
            $this->system->letsPass('graphics_feature'),
            'graphics.features',
        );
    }

    /** What an edition leaves unused (rule A10); never a reason against, always said. */
    private function memoryCeiling(?string $edition): ?Requirement
    {
        $limit = $this->system->ceilings[$edition ?? '']->memoryBytes ?? null;
        $memory = $this->machine->fact('memory_bytes')->value;
        if ($limit === null || ! is_int($memory)) {
            return null;
        }
        $most = Bytes::of($limit);
        $over = $memory - $most->count;

        return new Requirement(
            'memory_ceiling',
            'Memory used at most',
            "{$most->binary()} in edition {$edition}",
            Bytes::of($memory)->binary(),
            Requirement::judged($over <= 0),
            $over > 0 ? Bytes::of($over)->binary().' would lie idle; another edition uses them.' : '',
            true,
        );
    }

    private function socketCeiling(?string $edition): ?Requirement
    {
        $most = $this->system->ceilings[$edition ?? '']->sockets ?? null;
        $sockets = $this->machine->fact('sockets')->value;
        if ($most === null || ! is_numeric($sockets)) {
            return null;
        }
        $over = (int) $sockets > $most;

        return new Requirement(
            'socket_ceiling',
            'Processors used at most',
            "{$most} in edition {$edition}",
            (string) $sockets,
            Requirement::judged(! $over),
            $over ? 'The others would lie idle; another edition uses them.' : '',
            true,
        );
    }

    private static function compare(?int $has, int $need): string
    {
        return Requirement::judged($has === null ? null : $has >= $need);
    }

    private static function bytesNote(?int $has, int $need, bool $binary): string
    {
        if ($has === null) {
            return '';
        }
        $difference = Bytes::of(abs($has - $need));
        $words = $binary ? $difference->binary() : $difference->decimal();

        return $has >= $need ? "{$words} to spare" : "short by {$words}";
    }
}
