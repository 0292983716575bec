<?php

namespace App\Console\Commands;

use App\Catalogue\CatalogueFolder;
use App\Documents\BriefDocument;
use App\Documents\DocumentFault;
use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\OrderImpossible;
use Cobblestone\Runbook\Plan;
use DomainException;

final class PlanCommand extends PlainCommand
{
    use SaidWords;

    protected $signature = 'cobblestone:plan {brief : a brief as YAML} {--json : print the plan as JSON} {--out= : '
        .'write the plan as JSON to a file} {--catalogue= : a folder of catalogue files}';

    protected $description = 'Computes the path of a brief, without a database';

    public function handle(): int
    {
        try {
            $data = BriefDocument::fromFile($this->said('brief'));
            $catalogue = CatalogueFolder::read(
                (string) ($this->chosen('catalogue') ?? config('cobblestone.catalogue')),
            )->catalogue();
            $plan = JobPlanner::plan(Brief::fromArray($data), $catalogue, Policy::of());
        } catch (DocumentFault|UnknownEntry|BriefFault|OrderImpossible|DomainException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $json = json_encode(
            $plan->toArray(),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        );
        if (is_string($this->chosen('out'))) {
            if (@file_put_contents($this->chosen('out'), $json."\n") === false) {
                $this->getOutput()
                    ->getErrorStyle()
                    ->writeln("{$this->chosen('out')}: cannot be written.");

                return self::FAILURE;
            }
        }
        $this->option('json')
            ? $this->getOutput()->writeln($json, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW)
            : $this->print($plan);

        return self::SUCCESS;
    }

    private function print(Plan $plan): void
    {
        $this->line(
            "{$plan->job->title} · ".
                ($plan->job->system ?? $plan->job->kind->title()).
                " · verdict {$plan->verdict()->value}",
        );
        foreach ($plan->blockers as $blocker) {
            $this->line("  stop: {$blocker->reason}");
        }
        foreach ($plan->questions as $question) {
            $this->line("  ask:  {$question->text} ({$question->rule}; decides {$question->decides})");
        }
        foreach ($plan->steps as $number => $step) {
            $this->line(
                sprintf(
                    '%3d  %-22s %-10s %8s%s%s',
                    $number + 1,
                    $step->title,
                    $step->presence->title(),
                    $step->time->likely->label(),
                    $step->isOneWay() ? '  one-way' : '',
                    $step->gates === []
                        ? ''
                        : '  gate: '.implode('; ', array_map(fn ($gate): string => $gate->title, $step->gates)),
                ),
            );
        }
        foreach ($plan->decisions as $decision) {
            $this->line("  {$decision->title}: {$decision->chosen} [{$decision->rule}]");
        }
    }
}
