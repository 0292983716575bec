<?php

namespace App\Bridge;

use App\Catalogue\CatalogueStore;
use App\Documents\BriefDocument;
use App\Models\BenchPolicy;
use App\Models\CurrentPath;
use App\Models\Job;
use Cobblestone\Assessment\Memory\MemorySheet;
use Cobblestone\Assessment\Symptom\Detour;
use Cobblestone\Assessment\Symptom\SymptomIndex;
use Cobblestone\Bench\JobSummary;
use Cobblestone\Brief\Brief;
use Cobblestone\Catalogue\Symptom;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Job\UsedFields;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Progress;

/** Stored jobs to core values and back. */
final class JobBridge
{
    public function __construct(
        private readonly CatalogueStore $catalogue,
        private readonly StickRegister $register,
        private readonly Experience $experience,
    ) {
    }

    /**
     * @param  array<string, mixed>  $brief
     * @param  int|null  $job  number of the job that has the brief; null for a new one
     */
    public function plan(array $brief, ?int $job = null): Plan
    {
        $model = is_string($brief['machine']['model'] ?? null) ? $brief['machine']['model'] : null;
        $catalogue = $this->register->over($this->catalogue->catalogue(), $job);
        $system = is_string($brief['system'] ?? null) ? $catalogue->all('systems')[$brief['system']] ?? [] : [];
        [$known, $times] = $this->experience->planning(
            $catalogue,
            $model,
            is_string($system['name'] ?? null) ? $system['name'] : null,
        );

        return JobPlanner::plan(Brief::fromArray($brief), $known, BenchPolicy::present(), $times);
    }

    /**
     * What a brief says and its job has no use for, as things stand.
     *
     * @param  array<string, mixed>  $brief
     * @return list<string> paths
     */
    public function unused(array $brief): array
    {
        return (new UsedFields($this->catalogue->catalogue(), BenchPolicy::present()))->unused($brief);
    }

    /** @return array<string, mixed> */
    public function brief(Job $job): array
    {
        return BriefDocument::parse($job->brief, 'The brief of this job');
    }

    /** The machine of a job, as its brief and the catalogue tell of it. */
    public function machine(Job $job): Machine
    {
        return MachineBuilder::build(Brief::fromArray($this->brief($job)), $this->catalogue->catalogue())[0];
    }

    /**
     * What a memory sheet starts from: the modules that were read, else the slots the model has.
     *
     * @return array<string, mixed>
     */
    public function memoryStart(Job $job): array
    {
        $machine = $this->machine($job);
        $board = $machine->model?->memory;
        $start = MemorySheet::prefill($machine->modules) ?? [
            'modules' => [],
            'slots' => $board->slots ?? [],
            'profile' => 'standard',
            'soldered' => $board->soldered ?? false,
            'tests' => [],
        ];

        return [...$start, 'populations' => $board->populations ?? []];
    }

    /** @return list<Symptom> what is known of a step on this job */
    public function symptomsFor(Plan $plan, string $step): array
    {
        $mine = $this->known($step);

        return $mine === [] ? [] : SymptomIndex::of($mine)->forStep($step, FactSheet::read($plan->facts()));
    }

    public function symptoms(): SymptomIndex
    {
        return SymptomIndex::of($this->known());
    }

    /** The way round what went wrong at a stone; null where nothing is open there. */
    public function detour(Job $job, string $step): ?Detour
    {
        return Detour::at($step, $job->log(), $this->known($step));
    }

    /** As the index has it; null where it does not. */
    public function symptom(string $id): ?Symptom
    {
        $document = $this->catalogue->kind('issues')[$id] ?? null;

        return $document === null ? null : Symptom::fromArray($document);
    }

    /** What stops the whole job until somebody else goes on; null where nothing does. */
    public function stopping(Job $job): ?Detour
    {
        $entries = $job->log();
        $begun = array_filter($entries, static fn (LogEntry $entry): bool => $entry->said('symptom') !== '');

        return $begun === [] ? null : Detour::stopping($entries, $this->known());
    }

    /**
     * Run mode asks at every stone: then only what names its stone is read.
     *
     * @return list<Symptom>
     */
    private function known(?string $step = null): array
    {
        $entries = array_filter(
            $this->catalogue->kind('issues'),
            static fn (array $entry): bool => $step === null || Symptom::names($entry, $step),
        );

        return array_map(Symptom::fromArray(...), array_values($entries));
    }

    public function progress(Job $job): Progress
    {
        return $this->progressOf($job, $job->currentPlan());
    }

    public function progressOf(Job $job, CurrentPath $path): Progress
    {
        return Progress::of($path->typed(), $job->log());
    }

    /** @return array<string, mixed> */
    public function summary(Progress $progress): array
    {
        return JobSummary::of($progress, (string) config('cobblestone.timezone'));
    }
}
