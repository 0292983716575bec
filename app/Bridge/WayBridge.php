<?php

namespace App\Bridge;

use App\Devices\DriverFolders;
use App\Models\BenchPolicy;
use App\Models\CatalogueEntry;
use App\Models\ShelfFile;
use App\Models\StickEvent;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Inspection\ImageReport;
use Cobblestone\Media\Ways\SpeedHistory;
use Cobblestone\Media\Ways\StickRates;
use Cobblestone\Media\Ways\WayComparison;
use Cobblestone\Media\Ways\WayInput;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Fat32Geometry;
use Illuminate\Database\Eloquent\Collection;

/** Shelf files and sticks to the comparison of ways. */
final class WayBridge
{
    public function compare(
        ShelfFile $file,
        ImageReport $report,
        ?Stick $stick,
        ?string $drivers = null,
    ): WayComparison {
        $policy = BenchPolicy::present();
        $rates = StickRates::of($stick, $policy);
        $folder = DriverFolders::path($drivers);
        $along = $folder === null ? [] : StickBridge::folder($folder);
        $largest = $report->files['largest'] ?? null;
        $tooLarge =
            $largest !== null && $largest['bytes'] > Fat32Geometry::MAX_FILE
                ? [$largest['path'] => $largest['bytes']]
                : [];

        return WayComparison::of(
            new WayInput(
                $report,
                $tooLarge,
                self::parts($file),
                self::splitter($file) !== null,
                false,
                Bytes::of(array_sum($along)),
                count($along),
            ),
            $stick?->size(),
            $rates,
            $policy,
        );
    }

    public static function history(string $slug): SpeedHistory
    {
        /** @var Collection<int, StickEvent> $built */
        $built = StickEvent::query()->where('slug', $slug)->where('kind', 'built')->orderBy('id')->get();

        return self::speeds($built);
    }

    /** @param  iterable<StickEvent>  $built  oldest first */
    public static function speeds(iterable $built): SpeedHistory
    {
        $runs = [];
        foreach ($built as $event) {
            $runs[] = [
                'bytes' => (int) $event->data['bytes'],
                'write_seconds' => (float) $event->data['write_seconds'],
                'verify_seconds' => (float) $event->data['verify_seconds'],
            ];
        }

        return new SpeedHistory($runs);
    }

    /** @return array<string, string> files whose parts the installer joins, as the catalogue knows: path => pattern */
    public static function parts(ShelfFile $file): array
    {
        $largest = self::largest($file);

        return isset($largest['parts']) ? [$largest['path'] => $largest['parts']] : [];
    }

    /** @return list<string>|null the system's own splitter, as the catalogue knows it */
    public static function splitter(ShelfFile $file): ?array
    {
        return self::largest($file)['splitter'] ?? null;
    }

    /** @return array<string, mixed>|null */
    private static function largest(ShelfFile $file): ?array
    {
        return $file->slug === null
            ? null
            : CatalogueEntry::query()->where('kind', 'images')->where('slug', $file->slug)->first()?->document[
                    'files'
                ]['largest'] ?? null;
    }
}
