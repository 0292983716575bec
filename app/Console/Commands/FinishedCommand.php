<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueFolder;
use App\Devices\Command;
use App\Devices\StandIn\MachineAsFinished;
use App\Documents\BriefDocument;
use App\Documents\DocumentFault;
use App\Documents\YamlDocument;
use App\Models\Job;
use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Job\MachineBuilder;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use DomainException;
use Illuminate\Support\Facades\File;
use RuntimeException;

/** The stand-in for a machine at the end of its job: writes the bundle that the collector would bring from it. */
final class FinishedCommand extends PlainCommand
{
    use SaidWords;

    protected $signature = 'cobblestone:stand-in-machine
        {brief : a brief as YAML, or the number of a job}
        {out : the bundle, a file that ends in .tar.gz}
        {--fault=* : what is wrong with it; an unknown word lists them}
        {--catalogue= : a folder of catalogue files}';

    protected $description = 'A finished machine that does not exist: the bundle the collector would bring from it';

    public function handle(): int
    {
        $faults = array_values(array_map(strval(...), array_filter((array) $this->option('fault'), is_scalar(...))));
        $unknown = array_diff($faults, array_keys(MachineAsFinished::FAULTS));
        try {
            if ($unknown !== []) {
                throw new RuntimeException('There is no fault "'.implode('", "', $unknown).'": '
                    .implode(', ', array_keys(MachineAsFinished::FAULTS)).'.');
            }
            $this->write($this->machine($faults)->bundle(), $this->said('out'));
        } catch (DocumentFault|UnknownEntry|BriefFault|DomainException|RuntimeException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $this->line($this->said('out'));

        return self::SUCCESS;
    }

    /**
     * @param  list<string>  $faults
     *
     * @throws DocumentFault|UnknownEntry|BriefFault|DomainException|RuntimeException
     */
    private function machine(array $faults): MachineAsFinished
    {
        $said = $this->said('brief');
        $job = ctype_digit($said) ? Job::query()->find((int) $said) : null;
        $brief = Brief::fromArray($job === null
            ? BriefDocument::fromFile($said)
            : YamlDocument::parse($job->brief, 'The brief of this job'));
        $catalogue = CatalogueFolder::read(
            (string) ($this->chosen('catalogue') ?? config('cobblestone.catalogue')),
        )->catalogue();
        $plan = $job === null
            ? JobPlanner::plan($brief, $catalogue, Policy::of())
            : $job->currentPlan()->typed();
        $step = $plan->bringing(PathFact::PROVEN)
            ?? throw new RuntimeException('This kind of job has no machine at its end.');

        return MachineAsFinished::of(
            MachineBuilder::build($brief, $catalogue)[0],
            $step->evidence,
            $faults,
            now()->utc()->format('Y-m-d\TH:i:s\Z'),
        );
    }

    /**
     * @param  array<string, string>  $files
     *
     * @throws RuntimeException
     */
    private function write(array $files, string $out): void
    {
        if (! str_ends_with($out, '.tar.gz') || ! is_dir(dirname($out)) || ! is_writable(dirname($out))) {
            throw new RuntimeException(
                "{$out}: a file that ends in .tar.gz, in a folder that may be written, is wanted.",
            );
        }
        $folder = sys_get_temp_dir().'/finished-'.bin2hex(random_bytes(6));
        foreach ($files as $name => $text) {
            File::ensureDirectoryExists(dirname("{$folder}/{$name}"));
            file_put_contents("{$folder}/{$name}", $text);
        }
        try {
            Command::run(['tar', '-czf', $out, '-C', $folder, ...array_map(strval(...), array_keys($files))]);
        } finally {
            File::deleteDirectory($folder);
        }
    }
}
