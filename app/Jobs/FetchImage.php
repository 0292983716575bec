<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Catalogue\CatalogueStore;
use App\Devices\Publisher\Offer;
use App\Devices\Publisher\Publisher;
use App\Models\ImageFetch;
use Cobblestone\Catalogue\Image;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\File;
use RuntimeException;

/** Fetches an image in the background: goes on where it stopped, and keeps only what has the publisher's checksum. */
final class FetchImage implements ShouldQueue
{
    use Queueable;

    public int $timeout = 0;

    public int $tries = 0;

    private const PIECE = 1_048_576;

    private const TELL_EVERY = 0.5;

    public function __construct(private readonly int $of)
    {
    }

    public function handle(Publisher $publisher, CatalogueStore $catalogue, WhenFetched $then): void
    {
        $fetch = ImageFetch::query()->find($this->of);
        $lease = $fetch?->lease();
        if ($fetch === null || $lease === null) {
            return;
        }
        try {
            if ($fetch->begin()) {
                $fetch->refresh();
                $image = Image::fromArray($catalogue->kind('images')[$fetch->slug] ?? throw new RuntimeException(
                    'The catalogue does not know this image any more.',
                ));
                $sum = $this->run($fetch, $image, $publisher);
                $then->fetched($fetch, $image, $sum);
            }
        } catch (FetchStopped) {
            // Whoever stopped it has said so in the row.
        } catch (RuntimeException $e) {
            $fetch->tell(['state' => 'failed', 'fault' => mb_substr($e->getMessage(), 0, 500)]);
        } finally {
            fclose($lease);
        }
    }

    /** @return string|null the publisher's checksum that it was compared with; null where there is none */
    private function run(ImageFetch $fetch, Image $image, Publisher $publisher): ?string
    {
        $offer = $publisher->offer($image->file) ?? throw new RuntimeException(
            "Its publisher does not give out {$image->file} here: fetch it by hand and bring it to the shelf.",
        );
        if ($offer->bytes !== $image->bytes) {
            throw new RuntimeException("Its publisher gives out {$offer->bytes} B under that name, the catalogue knows "
                ."{$image->bytes} B: it is another file.");
        }
        $this->mustHaveRoom($fetch, $offer);
        $this->take($fetch, $offer, $publisher);

        return $this->compared($fetch, $image->sha256 ?? $offer->sha256);
    }

    private function mustHaveRoom(ImageFetch $fetch, Offer $offer): void
    {
        File::ensureDirectoryExists(dirname($fetch->part()));
        File::ensureDirectoryExists((string) config('cobblestone.shelf'));
        $free = (int) disk_free_space(dirname($fetch->part())) - (int) config('cobblestone.keep_free');
        if ($offer->bytes - (int) @filesize($fetch->part()) > $free) {
            throw new RuntimeException('There is not enough room on this computer for it: free '
                .number_format(($offer->bytes - $free) / 1e9, 1).' GB more, then go on.');
        }
    }

    private function take(ImageFetch $fetch, Offer $offer, Publisher $publisher): void
    {
        $part = fopen($fetch->part(), 'ab') ?: throw new RuntimeException('What comes cannot be kept here.');
        clearstatcache(true, $fetch->part());
        [$at, $begun, $told] = [(int) filesize($fetch->part()), microtime(true), 0.0];
        $first = $at;
        $tell = static function () use ($fetch, $offer, &$at, $first, $begun): void {
            $fetch->tell([
                'bytes' => $offer->bytes, 'done_bytes' => $at, 'run_bytes' => $at - $first,
                'run_seconds' => round(microtime(true) - $begun, 3),
            ]) || throw new FetchStopped;
        };
        try {
            while ($at < $offer->bytes) {
                $piece = $publisher->piece($offer->file, $at, min(self::PIECE, $offer->bytes - $at));
                if ($piece === '' || fwrite($part, $piece) !== strlen($piece)) {
                    throw new RuntimeException('Nothing more came, or it could not be kept.');
                }
                $at += strlen($piece);
                if (microtime(true) - $told >= self::TELL_EVERY) {
                    $told = microtime(true);
                    $tell();
                }
            }
            $tell();
        } catch (FetchStopped $e) {
            throw $e;
        } catch (RuntimeException $e) {
            $tell();
            throw new RuntimeException(rtrim($e->getMessage(), '.').' after '
                .number_format($at / 1e6, 1).' MB. What has come is kept: go on, and it begins there.');
        } finally {
            fclose($part);
        }
    }

    private function compared(ImageFetch $fetch, ?string $sum): ?string
    {
        if ($sum !== null && hash_file('sha256', $fetch->part()) !== $sum) {
            File::delete($fetch->part());
            throw new RuntimeException('Its checksum is not the publisher\'s. What had come is thrown away: fetch it '
                .'anew, or from another place.');
        }

        return $sum;
    }
}
