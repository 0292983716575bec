<?php

namespace App\Devices\Build;

use App\Devices\Command;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;

/** SHA-256 of every planned file at its source: in the image, or in the folder of drivers. */
final class SourceSums
{
    /** @var array<string, array<string, string>> source => path of the part => sum */
    private array $parts = [];

    public function __construct(
        private readonly StickPlan $plan,
        private readonly SourceFiles $source,
        private readonly BuildProgress $progress,
    ) {
    }

    /**
     * The sums of the small files at their source, unpacked together once more.
     *
     * @return array<string, string>
     */
    public function small(): array
    {
        $small = array_values(
            array_filter(
                $this->plan->files,
                fn (PlannedFile $file): bool => $file->of < StickBuilder::STREAM_FROM &&
                    $file->source !== $this->plan->splitter?->source,
            ),
        );
        $fromImage = array_values(
            array_filter($small, static fn (PlannedFile $file): bool => $file->from === 'image'),
        );
        $scratch = sys_get_temp_dir().'/cobble-sums-'.bin2hex(random_bytes(6));
        mkdir($scratch, 0700);
        $sums = [];
        try {
            if ($fromImage !== []) {
                $this->source
                    ->tree($this->plan)
                    ->extract(
                        array_map(static fn (PlannedFile $file): string => $file->source, $fromImage),
                        $scratch,
                        array_sum(array_map(static fn (PlannedFile $file): int => $file->of, $fromImage)),
                    );
            }
            foreach ($small as $file) {
                $sums[$file->path] = $this->sum($file, $scratch);
            }
        } finally {
            Command::run(['rm', '-rf', '--', $scratch], null);
        }

        return $sums;
    }

    private function sum(PlannedFile $file, string $scratch): string
    {
        return match (true) {
            $file->text !== null => hash('sha256', $file->text),
            $file->from === 'drivers' => (string) hash_file('sha256', $this->source->driver($file->source)),
            default => (string) hash_file('sha256', "{$scratch}/{$file->source}"),
        };
    }

    /**
     * The sum of one large file or part at its source, worked out while the stick is read.
     *
     * @return callable(): string
     */
    public function of(PlannedFile $file): callable
    {
        if ($file->from === 'drivers') {
            return Pump::hashOf(['cat', '--', $this->source->driver($file->source)]);
        }
        if (! $file->isPart()) {
            return Pump::hashOf($this->source->tree($this->plan)->arguments($file->source));
        }

        return fn (): string => $this->partSums($file->source)[$file->path];
    }

    /**
     * The sums of all parts of one file, in one run through the image.
     *
     * @return array<string, string>
     */
    private function partSums(string $source): array
    {
        if (isset($this->parts[$source])) {
            return $this->parts[$source];
        }
        $null = fopen('/dev/null', 'rb') ?: throw BuildFailure::of('source', '/dev/null cannot be opened.');
        [$reader, $out, $errors] = Pump::start($this->source->tree($this->plan)->arguments($source), $null);
        foreach ($this->plan->files as $file) {
            if ($file->source === $source && $file->from === 'image') {
                $this->parts[$source][$file->path] = Pump::hash(
                    (function () use ($out, $file): \Generator {
                        for ($left = $file->bytes; $left > 0 && ! feof($out[1]); $left -= strlen($piece)) {
                            $piece = (string) fread($out[1], min(65_536, $left));
                            $this->progress->mustGoOn();
                            yield $piece;
                        }
                    })(),
                );
            }
        }
        fclose($out[1]);
        proc_close($reader);
        @unlink($errors);

        return $this->parts[$source];
    }
}
