<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\StickEvent;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\ImageAtHand;
use Cobblestone\Document\Fields;
use Cobblestone\Media\ImageFit;
use Cobblestone\Media\ShelfImage;
use Cobblestone\Media\WantedStick;
use Cobblestone\Media\WriteMode;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Which images of the catalogue lie on the shelf, and how fast this bench's line was: told with the sticks, in one. */
final class ImagesAtHand
{
    public const SHELVED = 'shelved';

    public const LINE = 'line';

    /** A run below so many seconds says nothing of a line. */
    private const LEAST_SECONDS = 2;

    public static function rows(): Builder
    {
        $line = DB::table('image_fetches')
            ->where('run_seconds', '>=', self::LEAST_SECONDS)
            ->havingRaw('sum(run_bytes) > 0')
            ->selectRaw(<<<'SQL'
                0 as id, 'line' as slug, 'line' as kind,
                json_build_object('megabits', sum(run_bytes) * 8 / 1e6 / sum(run_seconds)) as data
                SQL);

        return DB::table('shelf_files')
            ->where('here', true)
            ->selectRaw(<<<'SQL'
                id, name as slug, 'shelved' as kind, json_build_object(
                    'slug', slug, 'about', about, 'sha256', sha256, 'published', published_sha256
                ) as data
                SQL)
            ->unionAll($line);
    }

    /** @param  list<StickEvent>  $rows  as such a question gives them; an empty shelf says nothing of any image */
    public static function over(Catalogue $catalogue, array $rows): Catalogue
    {
        [$shelf, $known, $megabits] = [[], [], null];
        foreach ($rows as $row) {
            $data = Fields::of((array) $row->data);
            if ($row->kind === self::LINE) {
                $megabits = (float) $data->number('megabits');

                continue;
            }
            $known[$data->optionalString('slug') ?? ''] = true;
            $shelf[] = ShelfImage::told(
                $row->slug,
                array_filter($data->optionalBlock('about')?->all() ?? [], is_string(...)),
                $data->optionalString('sha256'),
                $data->optionalString('published'),
            );
        }

        return $shelf === []
            ? $catalogue
            : $catalogue->with('images', self::told($catalogue, $shelf, $known, $megabits));
    }

    /**
     * @param  list<ShelfImage>  $shelf
     * @param  array<string, true>  $known  images of the catalogue that a file was recognised as
     * @return array<string, array<string, mixed>>
     */
    private static function told(Catalogue $catalogue, array $shelf, array $known, ?float $megabits): array
    {
        $told = [];
        foreach ($catalogue->images() as $id => $image) {
            $here = isset($known[$id]) || self::isOn($shelf, $image, $catalogue);
            $told[$id] = [
                ...$catalogue->all('images')[$id],
                'at_hand' => (new ImageAtHand($here, $megabits === null ? null : round($megabits, 1)))->toArray(),
            ];
        }

        return $told;
    }

    /** @param  list<ShelfImage>  $shelf */
    private static function isOn(array $shelf, Image $image, Catalogue $catalogue): bool
    {
        $system = $catalogue->systems()[$image->system ?? '']->name ?? $image->system;
        $wanted = new WantedStick(
            $image->name, $image->file, WriteMode::for($image), system: $system, version: $image->version,
            edition: $image->edition, language: $image->language, architecture: $image->architecture,
            sha256: $image->sha256, origin: $image->origin?->kind,
        );
        foreach ($shelf as $file) {
            if ($file->name === $image->file || ImageFit::of($wanted, $file)->fits()) {
                return true;
            }
        }

        return false;
    }
}
