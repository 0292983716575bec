<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\JobStick;
use App\Bridge\StickForJob;
use App\Models\Job;
use App\Models\ShelfFile;
use Cobblestone\Media\ImageFit;
use Cobblestone\Media\WantedStick;
use Cobblestone\Media\Ways\Way;
use Cobblestone\Text\Counted;
use Illuminate\Database\Eloquent\Collection;

/** The stick of a job: what it carries, which ones are ready, what makes one. */
final readonly class JobStickPage
{
    /**
     * @param  list<ImageFit>  $images
     * @param  Collection<string, ShelfFile>  $shelf
     * @param  list<StickForJob>  $sticks
     * @param  StickForJob|null  $chosen  the one that would be made
     * @param  bool  $asked  whether somebody chose it
     * @param  bool  $laid  whether every stone that a proven stick lays is laid
     * @param  string|null  $drivers  folder that goes along
     * @param  string  $hostName  the kind of computer that makes it; empty: this bench
     */
    private function __construct(
        public ?WantedStick $wanted,
        public array $images,
        private Collection $shelf,
        public ?Way $way,
        public array $sticks,
        public ?StickForJob $chosen,
        public bool $laid,
        public bool $asked,
        public ?string $drivers,
        public bool $mayWork,
        private string $hostName = '',
    ) {
    }

    /** @param  string  $asked  number of the stick that somebody chose; empty: the proposed one */
    public static function of(Job $job, JobStick $bridge, bool $mayWork, string $asked): self
    {
        $wanted = $bridge->wanted($job);
        if ($wanted === null) {
            return new self(null, [], new Collection, null, [], null, false, false, null, $mayWork);
        }
        $shelf = $bridge->shelf($wanted);
        $images = $bridge->images($wanted, $shelf);
        $first = $images[0] ?? null;
        $file = $first?->fits() === true ? $shelf->get($first->image->name) : null;
        $drivers = $bridge->drivers($job, $wanted);
        $way = $file === null ? null : $bridge->way($wanted, $file, $drivers);

        $sticks = $bridge->sticks($job, $wanted, $way?->need);

        return new self(
            $wanted,
            $images,
            $shelf,
            $way,
            $sticks,
            self::chosen($sticks, $asked),
            $bridge->isLaid($job),
            $asked !== '',
            $drivers,
            $mayWork && $job->isOpen(),
            $bridge->hostName($wanted),
        );
    }

    /** @return array<string, string> what the stick has to carry: what => which */
    public function carries(): array
    {
        $wanted = $this->wanted;

        return $wanted === null ? [] : array_filter([
            'Image' => $wanted->image,
            'How' => $wanted->mode->title()
                .($wanted->scheme === null ? '' : ', '.strtoupper($wanted->scheme->value).' table'),
            'Drivers' => $wanted->driverPackages === 0
                ? ''
                : Counted::of($wanted->driverPackages, 'package').($this->lacksDrivers() ? ', not unpacked yet' : ''),
        ]);
    }

    /** Whether drivers travel on it that nobody has unpacked. */
    public function lacksDrivers(): bool
    {
        return $this->wanted !== null && $this->wanted->driverPackages > 0 && $this->drivers === null;
    }

    /** @return list<string> what is to be known of an image: why not, or what nobody said, and what differs */
    public function said(ImageFit $fit): array
    {
        $unsaid = $this->wanted === null || ! $fit->fits() || $fit->planned
            ? []
            : ImageFit::unsaid($this->wanted, $fit->image);

        return [...$fit->against, ...$unsaid, ...$fit->notes];
    }

    public function address(ImageFit $fit): string
    {
        return '/shelf/'.$this->shelf->get($fit->image->name)?->id;
    }

    /** The file that it would be made from; null where none fits. */
    public function file(): ?ShelfFile
    {
        $first = $this->images[0] ?? null;

        return $first?->fits() === true ? $this->shelf->get($first->image->name) : null;
    }

    /** @return list<StickForJob> those that are exactly what the job wants */
    public function ready(): array
    {
        return array_values(array_filter($this->sticks, static fn (StickForJob $one): bool => $one->isReady()));
    }

    /** @return list<StickForJob> those that would have to be made */
    public function others(): array
    {
        return array_values(array_filter($this->sticks, static fn (StickForJob $one): bool => ! $one->isReady()));
    }

    /** @param  list<StickForJob>  $sticks */
    private static function chosen(array $sticks, string $asked): ?StickForJob
    {
        $proposed = null;
        foreach ($sticks as $one) {
            if ($one->stick->id === $asked && $one->mayBeMade()) {
                return $one;
            }
            $proposed = $one->proposed && $one->mayBeMade() ? $one : $proposed;
        }

        return $proposed;
    }

    /** Whether it can be made instead of the one that is chosen. */
    public function mayChoose(StickForJob $one): bool
    {
        return $this->mayWork && $this->against() === '' && $one->mayBeMade()
            && $one->stick->id !== $this->chosen?->stick->id;
    }

    public function isMadeElsewhere(): bool
    {
        return $this->wanted?->host !== null;
    }

    /** As in "on {name}". */
    public function hostName(): string
    {
        return $this->hostName;
    }

    /** The page that says how the stick is made on another computer, where one can be made. */
    public function elsewhere(int $job): string
    {
        $file = $this->file();

        return $file === null || $this->way === null || $this->chosen === null ? ''
            : ShelfWords::elsewhere($file, $this->chosen->stick, $this->way, $this->drivers, $job)
                .($this->wanted?->host === null ? '' : "&host={$this->wanted->host}");
    }

    public function exactBytes(): string
    {
        return number_format($this->chosen?->stick->size()->count ?? 0, 0, '.', ' ');
    }

    /** Why nothing can be made now; empty where something can. */
    public function against(): string
    {
        $file = $this->file();

        return match (true) {
            $this->images === [] => "The shelf holds no image of {$this->wanted?->system}.",
            $file === null => 'No image on the shelf fits this job.',
            $this->way === null => "{$file->name} cannot be {$this->wanted?->mode->title()}"
                .' as the path has planned it.',
            $this->lacksDrivers() => 'The drivers that travel on it are not unpacked yet.',
            $this->chosen === null => 'No stick of the register can take it.',
            default => '',
        };
    }
}
