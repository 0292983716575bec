<?php

namespace App\Devices\Build;

use App\Devices\Command;
use App\Devices\Stick\StickDevice;
use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;

/** Copies files onto the stick with mtools: small ones together, large ones as a stream out of the image. */
final class FileCopier
{
    private readonly string $drive;

    private int $done = 0;

    public function __construct(
        private readonly StickPlan $plan,
        private readonly StickDevice $stick,
        private readonly SourceFiles $source,
        private readonly BuildProgress $progress,
    ) {
        $this->drive = BuildSteps::drive(BuildSteps::target($plan), $plan, $stick->path());
    }

    public function copy(): void
    {
        $this->progress->stage('Copy the files', (int) $this->plan->bytes());
        [$small, $large] = [[], []];
        foreach ($this->plan->files as $file) {
            if ($file->of >= StickBuilder::STREAM_FROM) {
                $large["{$file->from} {$file->source}"][] = $file;
            } else {
                $small[] = $file;
            }
        }
        $scratch = sys_get_temp_dir().'/cobble-files-'.bin2hex(random_bytes(6));
        mkdir($scratch, 0700);
        try {
            $this->unpack($small, $scratch);
            $this->together(
                $scratch,
                array_sum(array_map(static fn (PlannedFile $file): int => $file->bytes, $small)),
            );
        } finally {
            Command::run(['rm', '-rf', '--', $scratch], null);
        }
        foreach ($large as $parts) {
            $this->stream($parts);
        }
    }

    /** @param  list<PlannedFile>  $files */
    private function unpack(array $files, string $scratch): void
    {
        foreach (BuildSteps::folders($this->plan) as $folder) {
            is_dir("{$scratch}/{$folder}") || mkdir("{$scratch}/{$folder}", 0700, true);
        }
        $fromImage = array_values(
            array_filter($files, static fn (PlannedFile $file): bool => $file->from === 'image'),
        );
        if ($fromImage !== []) {
            $this->source
                ->tree($this->plan)
                ->extract(
                    array_map(static fn (PlannedFile $file): string => $file->source, $fromImage),
                    $scratch,
                    array_sum(array_map(static fn (PlannedFile $file): int => $file->of, $fromImage)),
                );
        }
        foreach ($files as $file) {
            $at = "{$scratch}/{$file->path}";
            if ($file->text !== null) {
                file_put_contents($at, $file->text);
            } elseif ($file->from === 'drivers') {
                symlink($this->source->driver($file->source), $at);
            }
            // A link out of the image could bring a file of this computer onto the stick.
            if (($file->from === 'image' && is_link($at)) || ! is_file($at) || filesize($at) !== $file->bytes) {
                throw BuildFailure::of(
                    'source',
                    "{$file->path} could not be taken out of the image as it was listed: the image is damaged.",
                );
            }
        }
    }

    private function together(string $scratch, int $bytes): void
    {
        $entries = array_values(array_diff(scandir($scratch) ?: [], ['.', '..']));
        if ($entries === []) {
            return;
        }
        $this->run(
            [
                'mcopy',
                '-s',
                '-m',
                '-Q',
                '-i',
                $this->drive,
                ...array_map(static fn (string $entry): string => "{$scratch}/{$entry}", $entries),
                '::/',
            ],
            $bytes,
            'The small files',
        );
    }

    /**
     * One large file of the image, or its parts one after the other, through a pipe.
     *
     * @param  list<PlannedFile>  $parts  in order
     */
    private function stream(array $parts): void
    {
        if ($parts[0]->from === 'drivers') {
            $this->copied($parts);

            return;
        }
        $null = fopen('/dev/null', 'rb') ?: throw BuildFailure::of('source', '/dev/null cannot be opened.');
        [$reader, $out, $errors] = Pump::start($this->source->tree($this->plan)->arguments($parts[0]->source), $null);
        try {
            if (count($parts) === 1) {
                [$writer, , $writeErrors] = Pump::start(
                    ['mcopy', '-Q', '-i', $this->drive, '-', "::/{$parts[0]->path}"],
                    $out[1],
                    false,
                );
                fclose($out[1]);
                $this->finish($writer, $writeErrors, $parts[0]->bytes, $parts[0]->path);
            } else {
                foreach ($parts as $part) {
                    $this->part($part, $out[1]);
                }
                fclose($out[1]);
            }
        } finally {
            is_resource($out[1]) && fclose($out[1]);
            $code = proc_close($reader);
            $words = Command::lastWords((string) file_get_contents($errors));
            @unlink($errors);
        }
        if ($code !== 0) {
            throw BuildFailure::of('source', "{$parts[0]->source} could not be read out of the image: {$words}");
        }
    }

    /**
     * @param  list<PlannedFile>  $parts
     */
    private function copied(array $parts): void
    {
        foreach ($parts as $file) {
            $this->run(
                [
                    'mcopy',
                    '-m',
                    '-Q',
                    '-i',
                    $this->drive,
                    $this->source->driver($file->source),
                    "::/{$file->path}",
                ],
                $file->bytes,
                $file->path,
            );
        }
    }

    /** @param  resource  $from */
    private function part(PlannedFile $part, $from): void
    {
        [$writer, $pipes, $errors] = Pump::start(
            ['mcopy', '-Q', '-i', $this->drive, '-', "::/{$part->path}"],
            null,
            false,
        );
        $left = $part->bytes;
        while ($left > 0 && ! feof($from)) {
            $piece = (string) fread($from, min(65_536, $left));
            if (@fwrite($pipes[0], $piece) !== strlen($piece)) {
                break;
            }
            $left -= strlen($piece);
            $this->progress->at($this->done + $part->bytes - $left);
            $this->progress->mustGoOn();
        }
        fclose($pipes[0]);
        $this->finish($writer, $errors, $part->bytes, $part->path);
    }

    /**
     * Waits for a program that writes to the stick, and tells stick and watcher how far it is.
     *
     * @param  resource  $process
     * @param  int  $bytes  what it writes in all
     */
    private function finish($process, string $errors, int $bytes, string $what): void
    {
        $told = 0;
        $tell = function (int $written) use (&$told, $bytes): void {
            $written = min($written, $bytes);
            if ($written > $told) {
                $this->stick->wrote($written - $told);
                $told = $written;
            }
            $this->progress->at($this->done + $told);
            $this->progress->mustGoOn();
        };
        $code = Pump::watch($process, $tell, $this->stick->isPaced());
        $words = Command::lastWords((string) file_get_contents($errors));
        @unlink($errors);
        if ($code !== 0) {
            throw BuildFailure::of(
                str_contains($words, 'No space') ? 'room' : 'write',
                "{$what} could not be written: {$words}",
            );
        }
        $tell($bytes);
        $this->done += $bytes;
    }

    /** @param  list<string>  $arguments */
    private function run(array $arguments, int $bytes, string $what): void
    {
        $null = fopen('/dev/null', 'rb') ?: throw BuildFailure::of('source', '/dev/null cannot be opened.');
        [$process, , $errors] = Pump::start($arguments, $null, false);
        $this->finish($process, $errors, $bytes, $what);
    }
}
