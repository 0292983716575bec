<?php

declare(strict_types=1);

namespace App\Catalogue;

use Cobblestone\Machine\Identifier\AliasList;

/**
 * What a system has drivers for by itself, as a file in the form of modules.alias beside the entries: aliases/ID.alias.
 * Its lines stand in the entry's `brings` from then on; a list too long for people is handed on as a file again.
 */
final class AliasFiles
{
    private const FOLDER = 'aliases';

    private const LARGEST = 8_000_000;

    /** Lines of an entry that are still read by people. */
    private const SHORT = 200;

    private const FAULTS_SHOWN = 5;

    /**
     * @param  string  $path  of the catalogue's folder
     * @param  array<string, array<string, mixed>>  $systems  identifier => entry
     * @return array{array<string, array<string, mixed>>, list<string>} the entries with what the files say, and faults
     */
    public static function read(string $path, array $systems): array
    {
        $faults = [];
        $files = glob("{$path}/".self::FOLDER.'/*.alias') ?: [];
        sort($files);
        foreach ($files as $file) {
            $id = basename($file, '.alias');
            $shown = self::FOLDER.'/'.basename($file);
            if (! isset($systems[$id])) {
                $faults[] = "{$shown}: there is no system \"{$id}\" in this catalogue; the file is named after one.";

                continue;
            }
            if (filesize($file) > self::LARGEST) {
                $faults[] = "{$shown}: it is larger than 8 MB, which no list of this form is.";

                continue;
            }
            [$lines, $wrong] = self::lines((string) file_get_contents($file));
            foreach (array_slice($wrong, 0, self::FAULTS_SHOWN, true) as $number => $line) {
                $faults[] = "{$shown}, line {$number}: \"{$line}\" is no pattern of a device, such as "
                    .'alias pci:v000051A2d00000202* w2.';
            }
            $said = array_values(array_filter((array) ($systems[$id]['brings'] ?? []), is_string(...)));
            $systems[$id]['brings'] = array_values(array_unique([...$said, ...$lines]));
        }

        return [$systems, $faults];
    }

    /**
     * The entry as it is written into a folder; a long list goes into a file of its own.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function apart(string $path, string $id, array $document): array
    {
        $lines = (array) ($document['brings'] ?? []);
        if (count($lines) <= self::SHORT) {
            return $document;
        }
        is_dir("{$path}/".self::FOLDER) || mkdir("{$path}/".self::FOLDER, 0o775, true);
        file_put_contents("{$path}/".self::FOLDER."/{$id}.alias", implode("\n", $lines)."\n");
        unset($document['brings']);

        return $document;
    }

    /** @return array{list<string>, array<int, string>} patterns of devices, and by their number lines that are none */
    private static function lines(string $text): array
    {
        $lines = $wrong = [];
        foreach (explode("\n", str_replace("\r", '', $text)) as $index => $line) {
            $pattern = AliasList::pattern($line);
            if ($pattern === null) {
                continue;
            }
            if (preg_match('/^[a-z0-9_*?-]+:\S{1,280}$/i', $pattern) !== 1) {
                $wrong[$index + 1] = mb_substr(mb_scrub(preg_replace('/[\x00-\x1F\x7F]/', ' ', $line) ?? ''), 0, 60);
            } elseif (AliasList::isOfDevice($pattern)) {
                $lines[] = $pattern;
            }
        }

        return [$lines, $wrong];
    }
}
