<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Devices\DriverFolders;
use App\Models\Job;
use App\Models\ShelfFile;
use App\Models\StickState;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\SourceImage;
use Cobblestone\Media\FilesFor;
use Cobblestone\Media\StickContent;
use Cobblestone\Media\WantedFile;
use Cobblestone\Media\WantedFiles;
use Illuminate\Database\Eloquent\Collection;

/** The files of a stick that a job wants, where this bench has them, and what is wrong with them (rule F5). */
final readonly class FilesForStick
{
    /**
     * @param  list<PlannedFile>  $files  that are there
     * @param  list<string>  $lacks  why a stick cannot be made of them
     * @param  string|null  $folder  of the bench's drivers; null: the shelf
     * @param  array<string, string>  $proofs  file => what is known of its checksum
     */
    private function __construct(
        public WantedFiles $wanted,
        public array $files,
        public array $lacks,
        public ?string $folder,
        public array $proofs = [],
    ) {
    }

    /** Null where the path wants no such stick. */
    public static function of(Job $job): ?self
    {
        $wanted = WantedFiles::of($job->currentPlan()->typed());

        return match ($wanted?->for) {
            null => null,
            FilesFor::Firmware => self::firmware($wanted),
            FilesFor::Drivers => self::drivers($wanted, $job),
        };
    }

    private static function firmware(WantedFiles $wanted): self
    {
        $names = array_map(static fn (WantedFile $file): string => $file->file, $wanted->files);
        /** @var Collection<string, ShelfFile> $shelf */
        $shelf = ShelfFile::query()->where('here', true)->whereIn('name', $names)->get()->keyBy('name');
        [$files, $lacks, $proofs] = [[], [], []];
        foreach ($wanted->files as $file) {
            $there = $shelf->get($file->file);
            $lack = self::against($file, $there);
            if ($lack !== null || $there === null) {
                $lacks[] = $lack ?? '';

                continue;
            }
            $proofs[$file->file] = ($file->sha256 ?? $there->published_sha256) === null
                ? 'no checksum of the maker is known' : 'its checksum is the maker\'s';
            $files[] = new PlannedFile($file->path, $there->bytes, $file->file, 0, 'drivers', $there->bytes);
        }

        return new self($wanted, $files, $lacks, null, $proofs);
    }

    private static function against(WantedFile $file, ?ShelfFile $there): ?string
    {
        $should = $file->sha256 ?? $there?->published_sha256;

        return match (true) {
            $there === null => "{$file->file} is not on the shelf: fetch it from the maker and bring it there.",
            $there->sha256 === null => "{$file->file} has not been hashed yet.",
            $should !== null && $there->sha256 !== $should => "The checksum of {$file->file} is not the maker's: fetch "
                .'it again.',
            default => null,
        };
    }

    private static function drivers(WantedFiles $wanted, Job $job): self
    {
        $folder = DriverFolders::ofJob($job->id);
        $path = DriverFolders::path($folder);
        $files = [];
        foreach ($path === null ? [] : StickBridge::folder($path) as $name => $bytes) {
            $files[] = new PlannedFile((string) $name, $bytes, (string) $name, 0, 'drivers', $bytes);
        }

        return new self(
            $wanted,
            $files,
            $files === [] ? ['The drivers of this job are not unpacked yet.'] : [],
            $folder,
        );
    }

    /** What tells these files from others. */
    public function mark(): ?string
    {
        return $this->lacks === [] ? StickContent::markOf($this->files) : null;
    }

    /** Whether exactly these were built onto that stick. */
    public function isOn(string $slug): bool
    {
        $mark = $this->mark();

        return $mark !== null && (StickState::of($slug)->content['drivers_mark'] ?? null) === $mark
            && (StickState::of($slug)->content['image'] ?? null) === SourceImage::NONE;
    }

    /** Folder that they lie in. */
    public function root(): string
    {
        return $this->folder === null
            ? (string) config('cobblestone.shelf')
            : (string) DriverFolders::path($this->folder);
    }
}
