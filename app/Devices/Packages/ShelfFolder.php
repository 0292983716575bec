<?php

declare(strict_types=1);

namespace App\Devices\Packages;

use App\Documents\DocumentFault;
use App\Documents\SchemaCheck;
use App\Documents\Schemas;
use App\Documents\YamlDocument;
use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Document\FieldFault;
use Cobblestone\Drivers\Matching\PackageOffer;
use Cobblestone\Drivers\Setup\SetupText;
use RuntimeException;

/**
 * A folder of packages: manifests as YAML, archives, and folders with setup-information files. Links lead nowhere;
 * whatever is none of these is passed over.
 */
final class ShelfFolder
{
    private const DEEPEST = 8;

    private const MOST_FILES = 20_000;

    private const LARGEST_MANIFEST = 300_000;

    /** @var list<PackageOffer> */
    public array $offers = [];

    /** @var list<Unreadable> */
    public array $unreadable = [];

    private int $files = 0;

    private function __construct(private readonly string $root)
    {
    }

    public static function read(string $root): self
    {
        $shelf = new self(rtrim($root, '/'));
        $shelf->folder('', 0);

        return $shelf;
    }

    private function folder(string $within, int $depth): void
    {
        $names = @scandir("{$this->root}/{$within}") ?: [];
        $beside = $setup = [];
        foreach ($names as $name) {
            $path = ltrim("{$within}/{$name}", '/');
            $whole = "{$this->root}/{$path}";
            if ($name === '.' || $name === '..' || is_link($whole)) {
                continue;
            }
            if (++$this->files > self::MOST_FILES) {
                $this->unreadable[] = new Unreadable(
                    $path,
                    'there are more than 20 000 files; from here on none is read',
                );

                return;
            }
            if (is_dir($whole)) {
                $depth < self::DEEPEST
                    ? $this->folder($path, $depth + 1)
                    : $this->unreadable[] = new Unreadable($path, 'it lies more than eight folders deep');
            } elseif (is_file($whole)) {
                $beside[] = $name;
                $this->file($path, $setup);
            }
        }
        $this->setupFiles($within, $setup, $beside);
    }

    /** @param  list<string>  $setup  names of the setup-information files of the folder, to which this may add one */
    private function file(string $path, array &$setup): void
    {
        $end = strtolower(pathinfo($path, PATHINFO_EXTENSION));
        if ($end === 'inf') {
            $setup[] = basename($path);
        } elseif ($end === 'yaml' || $end === 'yml') {
            $this->manifest($path);
        } elseif (PackageArchive::isOne($path)) {
            try {
                $this->take(PackageReader::offers(PackageArchive::open("{$this->root}/{$path}"), $path));
            } catch (RuntimeException $e) {
                $this->unreadable[] = new Unreadable($path, $e->getMessage());
            }
        }
    }

    private function manifest(string $path): void
    {
        try {
            $document = YamlDocument::fromFile("{$this->root}/{$path}", self::LARGEST_MANIFEST);
            $faults = SchemaCheck::faults($document, Schemas::ofCatalogue('drivers'));
            if ($faults === []) {
                array_push($this->offers, ...PackageOffer::of(DriverPackage::fromArray($document), $path));
            }
        } catch (DocumentFault $e) {
            $faults = $e->faults;
        } catch (FieldFault $e) {
            $faults = [$e->getMessage()];
        }
        foreach ($faults as $fault) {
            $this->unreadable[] = new Unreadable($path, str_replace("{$this->root}/{$path}: ", '', $fault));
        }
    }

    /**
     * Setup-information files that lie open: their folder is the package; at the top of the shelf each is its own.
     *
     * @param  list<string>  $setup
     * @param  list<string>  $beside
     */
    private function setupFiles(string $within, array $setup, array $beside): void
    {
        $contents = [];
        foreach ($setup as $name) {
            $contents[$name] = (string) @file_get_contents(
                rtrim("{$this->root}/{$within}", '/')."/{$name}",
                false,
                null,
                0,
                SetupText::LONGEST + 1,
            );
        }
        if ($within !== '' && $contents !== []) {
            $this->take(PackageReader::offers(new PackageContents($contents, $beside), $within));

            return;
        }
        foreach ($contents as $name => $bytes) {
            $this->take(PackageReader::offers(new PackageContents([$name => $bytes], $beside), $name));
        }
    }

    /** @param  array{list<PackageOffer>, list<Unreadable>}  $read */
    private function take(array $read): void
    {
        array_push($this->offers, ...$read[0]);
        array_push($this->unreadable, ...$read[1]);
    }
}
