<?php

namespace App\Devices\Build;

use App\Devices\Command;
use App\Devices\Inspection\Expander;
use App\Devices\Inspection\FileSource;
use App\Devices\Stick\StickDevice;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatEntry;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\WindowSource;
use RuntimeException;

/**
 * Reads a stick back past the cache and holds it against plan and source: table, file system, every byte (rules M6,
 * M11).
 */
final class StickProof
{
    /** @var array<string, string> */
    public array $sums = [];

    public ?string $label = null;

    public float $seconds = 0.0;

    public int $bytes = 0;

    public string $fingerprint = '';

    public function __construct(
        private readonly StickPlan $plan,
        private readonly StickDevice $stick,
        private readonly SourceFiles $source,
        private readonly BuildProgress $progress,
        private readonly bool $byContent = false,
    ) {
    }

    public function prove(): self
    {
        $begun = microtime(true);
        $device = new FileSource($this->stick->path());
        if ($this->plan->mode === WriteMode::Raw) {
            $this->raw($device);
        } else {
            $this->files($device);
        }
        $this->fingerprint = Fingerprint::of($device);
        $this->seconds = microtime(true) - $begun;

        return $this;
    }

    private function raw(ByteSource $device): void
    {
        $image = $this->plan->image;
        $length = $image->expanded ?? $this->expandedLength();
        $this->progress->stage('Read the stick back', $length);
        $wanted = Pump::hashOf(
            $image->compression === null
                ? ['cat', '--', $this->source->image]
                : Expander::arguments($image->compression, $this->source->image),
        );
        $read = Pump::hash($this->watched(Pump::pieces($device, 0, $length)));
        $source = $wanted();
        if ($image->compression === null && $image->sha256 !== null && $source !== $image->sha256) {
            throw BuildFailure::of('source', 'The image has changed since it was hashed.');
        }
        if ($read !== $source) {
            throw BuildFailure::of('mismatch', 'The stick reads back differently from the image.');
        }
        $this->bytes = $length;
        $this->sums = [$image->file => $read];
    }

    /** Where the format does not tell how much comes out, it is counted. */
    private function expandedLength(): int
    {
        $this->progress->stage('Count what comes out of the image', 0);
        $null = fopen('/dev/null', 'rb') ?: throw BuildFailure::of('source', '/dev/null cannot be opened.');
        [$process, $pipes, $errors] = Pump::start(
            Expander::arguments((string) $this->plan->image->compression, $this->source->image),
            $null,
        );
        $length = 0;
        while (! feof($pipes[1])) {
            $length += strlen((string) fread($pipes[1], 65_536));
            $this->progress->mustGoOn();
        }
        fclose($pipes[1]);
        proc_close($process);
        @unlink($errors);

        return $length;
    }

    private function files(ByteSource $device): void
    {
        $this->progress->stage('Check table and file system', 0);
        $partition = $this->byContent
            ? InstallerVolume::found($this->plan, $device)
            : InstallerVolume::asPlanned($this->plan, $device);
        $volume = FatVolume::open($partition)
            ?? throw BuildFailure::of('mismatch', 'There is no FAT file system on the stick.');
        try {
            Command::run(
                $this->plan->sector === 512
                    ? ['sfdisk', '--verify', '--quiet', $this->stick->path()]
                    : ['fdisk', '--sector-size', (string) $this->plan->sector, '--list', $this->stick->path()],
                120,
            );
            FatCheck::run($partition, $volume);
            $this->byContent || Signatures::onlyOurs($this->plan, $this->stick->path());
        } catch (RuntimeException $e) {
            throw $e instanceof BuildFailure ? $e : BuildFailure::of('mismatch', $e->getMessage());
        }
        $this->label = $volume->label();
        $this->compare($partition, $volume);
    }

    /** Every planned file, and no other, byte for byte as its source (rule M11). */
    private function compare(WindowSource $partition, FatVolume $volume): void
    {
        $found = $volume->files();
        if ($this->plan->splitter !== null) {
            $found = OwnSplitParts::without($found, $this->plan, $this->plan->splitter);
        }
        $files = $this->toCompare($found);
        $byName = [];
        foreach ($found as $path => $entry) {
            $byName[mb_strtoupper((string) $path)] = $entry;
        }
        $this->progress->stage('Read every file back', (int) $this->plan->bytes());
        $sums = new SourceSums($this->plan, $this->source, $this->progress);
        $wanted = $sums->small();
        foreach ($files as $file) {
            $entry = $byName[mb_strtoupper($file->path)];
            if ($entry->size !== $file->bytes) {
                throw BuildFailure::of(
                    'mismatch',
                    "{$file->path} has {$entry->size} B on the stick, planned are {$file->bytes} B.",
                );
            }
            $runs = $this->watched(self::pieces($volume, $entry, $partition));
            $small = $wanted[$file->path] ?? null;
            if ($small === null) {
                $source = $sums->of($file);
                [$is, $should] = [Pump::hash($runs), $source()];
            } else {
                [$is, $should] = [self::sha256($runs), $small];
            }
            if ($is !== $should) {
                throw BuildFailure::of('mismatch', "{$file->path} reads back differently from its source.");
            }
            $this->sums[$file->path] = $is;
        }
    }

    /** @return \Generator<int, string> */
    private static function pieces(FatVolume $volume, FatEntry $entry, WindowSource $partition): \Generator
    {
        foreach ($volume->extents($entry) as [$at, $length]) {
            yield from Pump::pieces($partition, $at, $length);
        }
    }

    /** @param  iterable<string>  $pieces */
    private static function sha256(iterable $pieces): string
    {
        $context = hash_init('sha256');
        foreach ($pieces as $piece) {
            hash_update($context, $piece);
        }

        return hash_final($context);
    }

    /**
     * @param  array<string, FatEntry>  $found
     * @return list<PlannedFile>
     */
    private function toCompare(array $found): array
    {
        $files = array_values(array_filter(
            $this->plan->files,
            fn (PlannedFile $file): bool => $file->source !== $this->plan->splitter?->source,
        ));
        $missing = array_diff(
            array_map('mb_strtoupper', array_map(static fn (PlannedFile $file): string => $file->path, $files)),
            array_map(static fn (string|int $path): string => mb_strtoupper((string) $path), array_keys($found)),
        );
        if ($missing !== [] || count($found) !== count($files)) {
            throw BuildFailure::of(
                'mismatch',
                count($found).' files are on the stick, '.count($files).' were planned'
                    .($missing === [] ? '.' : '; missing is '.array_values($missing)[0].'.'),
            );
        }

        return $files;
    }

    /**
     * @param  iterable<string>  $pieces
     * @return \Generator<int, string>
     */
    private function watched(iterable $pieces): \Generator
    {
        foreach ($pieces as $piece) {
            yield $piece;
            $this->bytes += strlen($piece);
            $this->progress->at($this->bytes);
            $this->progress->mustGoOn();
        }
    }
}
