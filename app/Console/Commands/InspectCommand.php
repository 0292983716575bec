<?php

namespace App\Console\Commands;

use App\Devices\Inspection\Inspection;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Inspection\LoaderTrust;
use Illuminate\Console\Command;
use RuntimeException;

final class InspectCommand extends Command
{
    use SaidWords;

    protected $signature = 'cobblestone:inspect {file : an image, of any size} {--next= : path of the loader that the '
        .'first one loads} {--json : print the findings as JSON}';

    protected $description = 'Look into an image: what it is, what it starts on, how it may be written';

    public function handle(): int
    {
        try {
            $report = Inspection::of($this->said('file'), $this->chosen('next'));
        } catch (RuntimeException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->option('json')
            ? $this->output->writeln(
                (string) json_encode(
                    $report->toArray(),
                    JSON_PRETTY_PRINT |
                        JSON_UNESCAPED_SLASHES |
                        JSON_UNESCAPED_UNICODE |
                        JSON_INVALID_UTF8_SUBSTITUTE,
                ),
            )
            : $this->print($report);

        return $report->isDamaged() || $report->kind === 'unknown' ? 2 : self::SUCCESS;
    }

    private function print(ImageReport $report): void
    {
        $this->say($report->what());
        $this->say('Written raw:  '.$report->starts('raw'));
        $this->say('Files copied: '.$report->starts('copied'));
        foreach ($report->loaders as $loader) {
            $this->say(
                "Loader {$loader['path']} {$loader['place']}: ".
                    ($loader['trust'] === null ? '' : LoaderTrust::from($loader['trust'])->title().'. ').
                    $loader['because'],
            );
        }
        if ($report->files !== null) {
            $this->say(
                "{$report->files['count']} files, {$report->files['bytes']} B".
                    ($report->files['largest'] === null
                        ? ''
                        : "; the largest is {$report->files['largest']['path']} with "
                            ."{$report->files['largest']['bytes']} B"),
            );
        }
        foreach ($report->notes as $note) {
            $this->say("Note: {$note}");
        }
        foreach ($report->damage as $fault) {
            $this->say("Damaged: {$fault}");
        }
    }

    /** Names come out of the image: nothing in them may steer the terminal. */
    private function say(string $line): void
    {
        $this->output->writeln((string) preg_replace('/[\x00-\x1F\x7F]/', '?', $line), 16);
    }
}
