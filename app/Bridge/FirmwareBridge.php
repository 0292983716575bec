<?php

namespace App\Bridge;

use App\Catalogue\CatalogueStore;
use App\Models\FirmwareSnapshot;
use App\Models\Job;
use Cobblestone\Brief\Brief;
use Cobblestone\Brief\UpdateBlock;
use Cobblestone\Findings\Findings;
use Cobblestone\Firmware\BoardFitted;
use Cobblestone\Firmware\MemoryProfile;
use Cobblestone\Firmware\PressSequence;
use Cobblestone\Firmware\Setting;
use Cobblestone\Firmware\Snapshot;
use Cobblestone\Firmware\UpdatePath;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\MemoryModule;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Wants;
use Illuminate\Support\Collection;

/** What the Firmware page of a job shows, from the machine as it is known now. */
final class FirmwareBridge
{
    public function __construct(
        private readonly JobBridge $jobs,
        private readonly CatalogueStore $catalogue,
        private readonly Experience $experience,
    ) {
    }

    public function machine(Job $job): Machine
    {
        $brief = $this->jobs->brief($job);
        $model = $brief['machine']['model'] ?? null;

        return MachineBuilder::build(
            Brief::fromArray($brief),
            $this->experience->over($this->catalogue->catalogue(), is_string($model) ? $model : null),
        )[0];
    }

    /** @return list<Setting> those of the model; what a start rests on, where nobody has described the model */
    public function settings(Machine $machine): array
    {
        $own = Setting::ofMachine($machine);

        $own = $own !== [] ? $own : array_map(Setting::usual(...), Setting::USUAL);
        $ids = array_map(static fn (Setting $setting): string => $setting->id, $own);

        return $machine->fact('firmware.kind')->is('sealed')
            ? []
            : [...$own, ...array_map(Setting::usual(...), array_values(array_diff(Setting::BESIDES, $ids)))];
    }

    /**
     * @param  Collection<int, FirmwareSnapshot>  $snapshots
     * @return array{from: FirmwareSnapshot, to: FirmwareSnapshot, rows: list<array{setting: string, was: string|null,
     *     is: string|null}>}|null
     */
    public function compared(Collection $snapshots, int $from, int $to): ?array
    {
        [$first, $second] = [$snapshots->firstWhere('id', $from), $snapshots->firstWhere('id', $to)];
        if ($first === null || $second === null) {
            return null;
        }

        return [
            'from' => $first,
            'to' => $second,
            'rows' => Snapshot::of($first->settings, [])->difference(Snapshot::of($second->settings, [])),
        ];
    }

    /** The best known way there as presses; null where none is known. */
    public function sequence(Job $job, Wants $reaches): ?PressSequence
    {
        $machine = $this->machine($job);
        $moves = $machine->model->recovery->sequence ?? [];
        if ($reaches === Wants::Recovery && $moves !== []) {
            return PressSequence::ofMoves($moves);
        }
        $way = match ($reaches) {
            Wants::Installer => WayIn::menu($machine),
            Wants::Setup => WayIn::setup($machine),
            default => WayIn::recovery($machine),
        };

        return $way->ways === [] ? null : PressSequence::of($way->ways[0]);
    }

    /** Connector of a stick of the register, by its name. */
    public function connector(?string $stick): ?string
    {
        foreach ($this->catalogue->catalogue()->sticks() as $one) {
            if ($one->name === $stick) {
                return $one->connector;
            }
        }

        return null;
    }

    /** @return list<array{module: MemoryModule, ways: list<MemoryProfile>}> */
    public function memory(Machine $machine): array
    {
        $counts = $machine->model->firmware->multiplierCountsTransfers ?? false;
        $rows = [];
        foreach ($machine->modules as $module) {
            if (! $module->isEmpty() && $module->ratedTransfers !== null) {
                $rows[] = ['module' => $module, 'ways' => MemoryProfile::ways($module->ratedTransfers, $counts)];
            }
        }

        return $rows;
    }

    /**
     * @return array{releases: list<\Cobblestone\Machine\Model\Release>, now: string|null, path: UpdatePath|null}|null
     *     null where the catalogue holds no releases
     */
    public function update(Plan $plan, Machine $machine): ?array
    {
        $releases = $machine->model->firmware->releases ?? [];
        if ($releases === []) {
            return null;
        }
        $now = $machine->fact('firmware.version')->value;
        [$processor, $revision] = [$machine->fact('processor')->value, $machine->fact('board.revision')->value];
        $wish =
            $plan->job->kind->rules()->updatesFirmware()
                ? Findings::of($plan)->update
                : new UpdateBlock();

        return [
            'releases' => $releases,
            'now' => is_scalar($now) ? (string) $now : null,
            'path' => is_scalar($now)
                ? UpdatePath::find(
                    $releases,
                    (string) $now,
                    $wish->to,
                    $wish->gives,
                    new BoardFitted(
                        is_scalar($processor) ? (string) $processor : null,
                        is_scalar($revision) ? (string) $revision : null,
                    ),
                )
                : null,
        ];
    }
}
