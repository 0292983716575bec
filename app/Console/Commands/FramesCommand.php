<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Cobblestone\Tuning\Frames\FrameComparison;
use Cobblestone\Tuning\Frames\FrameLog;
use Cobblestone\Tuning\Frames\FrameLogFault;
use Cobblestone\Tuning\Frames\FrameReport;
use Cobblestone\Tuning\Frames\FrameRun;
use Cobblestone\Tuning\Frames\FrameSettings;
use Generator;
use Illuminate\Console\Command;

/** Frame rates out of logs of frame times, and what two of them say of each other. */
final class FramesCommand extends Command
{
    use SaidWords;

    private const MOST_BYTES = 500_000_000;

    private const LONGEST_LINE = 65_536;

    protected $signature = 'cobblestone:frames {file* : logs of one run each, as CSV}
        {--against=* : logs of before}
        {--settings= : of the picture, as it was set}
        {--settings-then= : the same, before}
        {--power= : power mode or limit}
        {--power-then= : the same, before}
        {--json : print the findings as JSON}';

    protected $description = 'Frame rates out of logs of frame times, with their interval, and compared';

    public function handle(): int
    {
        try {
            $now = self::ofFiles(self::files($this->argument('file')), $this->settings(''));
            $against = self::files($this->option('against'));
            $comparison = $against === [] ? null : FrameComparison::of(
                self::ofFiles($against, $this->settings('-then')),
                $now,
            );
        } catch (FrameLogFault $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $found = FrameReport::of($now, $comparison?->before);
        $this->option('json')
            ? $this->output->writeln((string) json_encode($found, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE))
            : $this->words($now, $comparison);

        return self::SUCCESS;
    }

    /** @return list<string> */
    private static function files(mixed $given): array
    {
        return array_values(array_map(strval(...), array_filter((array) $given, is_scalar(...))));
    }

    private function settings(string $then): FrameSettings
    {
        // What is not said of before was the same, where it is said of now.
        return new FrameSettings(
            $this->chosen("settings{$then}") ?? $this->chosen('settings'),
            $this->chosen("power{$then}") ?? $this->chosen('power'),
        );
    }

    /**
     * @param  list<string>  $files
     *
     * @throws FrameLogFault
     */
    private static function ofFiles(array $files, FrameSettings $settings): FrameRun
    {
        $logs = [];
        foreach ($files as $file) {
            try {
                $logs[] = FrameLog::read(basename($file), self::lines($file));
            } catch (FrameLogFault $e) {
                throw FrameLogFault::of(basename($file).': '.$e->getMessage());
            }
        }

        return $logs === [] ? throw FrameLogFault::of('Name at least one log.') : FrameRun::of($logs, $settings);
    }

    /** @return Generator<int, string> */
    private static function lines(string $file): Generator
    {
        $handle = is_file($file) ? @fopen($file, 'rb') : false;
        if ($handle === false) {
            throw FrameLogFault::of('there is no such file, or it may not be read.');
        }
        if ((int) filesize($file) > self::MOST_BYTES) {
            throw FrameLogFault::of('it is larger than 500 MB: take a shorter run.');
        }
        while (($line = fgets($handle, self::LONGEST_LINE)) !== false) {
            yield $line;
        }
        fclose($handle);
    }

    private function words(FrameRun $now, ?FrameComparison $comparison): void
    {
        $interval = $now->interval();
        $this->line(sprintf('%d frames in %.1f s: %.1f a second, the slowest hundredth %.1f.',
            $now->frames, $now->seconds, $now->rate, $now->low));
        $this->line($interval === null
            ? 'How far that spreads is not known: '.FrameRun::ENOUGH.' runs, or '.FrameRun::ENOUGH.' s of one, are '
                .'wanted.'
            : sprintf('With 95 %% it lies between %.1f and %.1f.', ...$interval));
        array_map($this->line(...), $now->notes);
        $comparison === null || $this->line($comparison->sentence());
    }
}
