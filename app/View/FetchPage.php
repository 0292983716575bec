<?php

declare(strict_types=1);

namespace App\View;

use App\Devices\Publisher\Offer;
use App\Devices\Publisher\Publisher;
use App\Models\ImageFetch;
use App\Models\Job;
use App\Models\ShelfFile;
use Cobblestone\Catalogue\Image;
use Cobblestone\Quantity\Bytes;

/** How far an image is on its way onto the shelf, in words. */
final class FetchPage
{
    public Image $image;

    public ?Job $job = null;

    private ?ImageFetch $fetch = null;

    private ?Offer $offer = null;

    public ?ShelfFile $here = null;

    public function __construct(private readonly Publisher $publisher)
    {
    }

    public function of(Image $image, ?Job $job): self
    {
        $this->image = $image;
        $this->job = $job;
        $this->fetch = ImageFetch::query()->where('slug', $image->id)->first();
        $this->offer = $this->publisher->offer($image->file);
        $this->here = ShelfFile::query()->where('here', true)->where('name', $image->file)->first();

        return $this;
    }

    public function isUnderWay(): bool
    {
        return $this->fetch?->isUnderWay() === true;
    }

    /** Why it cannot be fetched here; empty where it can. */
    public function against(): string
    {
        return match (true) {
            $this->here !== null => 'It lies on the shelf.',
            $this->offer === null => "No publisher that this bench knows gives out {$this->image->file}: fetch it by "
                .'hand and bring it to the shelf.',
            default => '',
        };
    }

    public function state(): string
    {
        return match (true) {
            $this->fetch === null => 'not begun',
            $this->fetch->brokeOff() => 'broke off: this computer or its worker stopped; what has come is kept',
            default => match ($this->fetch->state) {
                'waiting' => 'waits for its turn',
                'running' => 'it is coming',
                'done' => 'it has come, whole',
                'stopped' => 'stopped; what has come is kept',
                default => (string) $this->fetch->fault,
            },
        };
    }

    public function isFault(): bool
    {
        return $this->fetch?->state === 'failed';
    }

    public function thousandths(): int
    {
        $bytes = max(1, $this->image->bytes);

        return (int) min(1000, 1000 * ($this->fetch->done_bytes ?? 0) / $bytes);
    }

    /** "12.3 MB of 43.7 MB · 98 Mb/s · 3 s left", as far as it is known. */
    public function figures(): string
    {
        $done = $this->fetch->done_bytes ?? 0;
        $line = $this->bytesASecond();

        return implode(' · ', array_filter([
            Bytes::of($done)->decimal().' of '.$this->image->size()->decimal(),
            $line === null ? '' : number_format($line * 8 / 1e6, 1).' Mb/s',
            $line === null || ! $this->isUnderWay()
                ? '' : ShelfWords::left((int) ceil(max(0, $this->image->bytes - $done) / $line)),
        ]));
    }

    private function bytesASecond(): ?float
    {
        return $this->fetch === null || $this->fetch->run_seconds < 0.2 || $this->fetch->run_bytes === 0
            ? null : $this->fetch->run_bytes / $this->fetch->run_seconds;
    }

    public function button(): string
    {
        return ($this->fetch->done_bytes ?? 0) > 0 && $this->fetch?->state !== 'done' ? 'Go on' : 'Fetch it';
    }

    /** By what it is compared once it has come. */
    public function checksum(): string
    {
        return match (true) {
            $this->image->sha256 !== null => $this->image->sha256,
            $this->offer?->sha256 !== null => "{$this->offer->sha256}, from the publisher's list",
            default => 'none is known: what comes cannot be compared',
        };
    }
}
