<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

use Cobblestone\Media\Inspection\FoundLoader;
use Cobblestone\Media\Inspection\LoaderJudge;
use Cobblestone\Media\Inspection\LoaderTrust;
use Cobblestone\Media\Inspection\PeImage;
use Cobblestone\Media\Inspection\SignatureTool;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatEntry;
use Cobblestone\Storage\Reading\FatVolume;

/** Looks at a real stick, or the image of one, the way firmware does, under the keys of one machine (rules B, M2). */
final readonly class MediumReader
{
    /** Largest loader that is read; firmware itself reads the whole file. */
    private const LARGEST = 33_554_432;

    /**
     * @param  bool  $byName  whether the signers are all that are known, and a machine's state says later which of
     *     them it trusts
     */
    private function __construct(private LoaderJudge $judge, private bool $byName)
    {
    }

    public static function read(
        ByteSource $device,
        SignatureTool $tool,
        Signers $signers,
        bool $byName = false,
        Leads $leads = Leads::Installer,
    ): Medium {
        $reader = new self(new LoaderJudge($tool, $signers), $byName);
        $table = FirmwareTable::read($device);
        $volumes = [];
        foreach ($table->volumes as $volume) {
            $fat = FatVolume::asFirmware($volume['source']);
            $volumes[] = new Volume(
                $volume['title'],
                $fat !== null,
                $fat === null ? [] : $reader->loaders($fat),
                $volume['guid'],
            );
        }

        return new Medium(
            $leads,
            $table->words,
            $table->fault,
            $volumes,
            LegacySector::judge($device),
            byOptical: $table->byOptical,
        );
    }

    /** @return list<Loader> */
    private function loaders(FatVolume $volume): array
    {
        $folder = self::folder($volume);
        $loaders = [];
        foreach ($folder?->directory ? $volume->entries($folder) : [] as $entry) {
            if (isset(FoundLoader::NAMES[strtoupper($entry->name)]) && ! $entry->directory) {
                $loaders[] = $this->loader($volume, $entry);
            }
        }

        return $loaders;
    }

    /** The folder of loaders; firmware opens no directory whose chain of clusters has no end, nor what lies in it. */
    private static function folder(FatVolume $volume): ?FatEntry
    {
        $whole = $volume->isWhole(null);
        $path = '';
        $folder = null;
        foreach (explode('/', FoundLoader::FOLDER) as $name) {
            $path = ltrim("{$path}/{$name}", '/');
            $folder = $whole ? $volume->find($path) : null;
            $whole = $folder !== null && $folder->directory && $volume->isWhole($folder);
        }

        return $whole ? $folder : null;
    }

    private function loader(FatVolume $volume, FatEntry $entry): Loader
    {
        $path = FoundLoader::FOLDER.'/'.strtoupper($entry->name);
        $bytes = $volume->contents($entry, min($entry->size, self::LARGEST));
        $pe = PeImage::read($bytes);
        $fault = match (true) {
            strlen($bytes) < min($entry->size, self::LARGEST) => 'part of it lies past the end of the device',
            $pe === null => 'it is no PE file, so firmware takes it for missing',
            ! $pe->isEfi => 'it is a program, but not for UEFI',
            ! $pe->isWhole() => 'part of it is missing',
            default => null,
        };
        if ($pe === null || $fault !== null) {
            return self::faulty($path, $pe, $fault, strlen($bytes) === $entry->size);
        }
        [$trust, $because] = $this->judge->judge($bytes);
        [$nextFault, $nextRefused] = $this->next($volume, $pe, $bytes);

        $signer = $this->byName ? $this->judge->signerOf($bytes) : null;
        $open = $trust === LoaderTrust::CannotTell || ($signer !== null && $trust === LoaderTrust::Trusted);

        return new Loader(
            $path,
            $pe->architecture ?? sprintf('machine type 0x%04X', $pe->machine),
            null,
            $pe->isSigned(),
            $signer,
            $open ? null : $trust,
            $open ? '' : $because,
            $nextFault,
            $nextRefused,
        );
    }

    /**
     * What firmware takes for missing. A file that it can read and that begins like a program is asked for its
     * signature first, and a part of one has none that holds.
     */
    private static function faulty(string $path, ?PeImage $pe, ?string $fault, bool $readable): Loader
    {
        return $pe === null || ! $readable
            ? new Loader($path, $pe?->architecture, $fault)
            : new Loader(
                $path,
                $pe->architecture,
                $fault,
                $pe->isSigned(),
                judged: $pe->isSigned() ? LoaderTrust::Altered : LoaderTrust::Unsigned,
                because: ucfirst((string) $fault).', so no signature of it holds.',
            );
    }

    /**
     * @return array{0: string|null, 1: string|null} why it is missing, and why it would be refused under Secure Boot
     */
    private function next(FatVolume $volume, PeImage $first, string $bytes): array
    {
        $name = FirstStage::nextFile($first, $bytes);
        if ($name === null) {
            return [null, null];
        }
        $entry = $volume->find(FoundLoader::FOLDER."/{$name}");
        if ($entry === null || $entry->directory) {
            return ["It wants to load {$name} from its folder, and there is none.", null];
        }
        $next = $volume->contents($entry, min($entry->size, self::LARGEST));
        $pe = PeImage::read($next);
        if ($pe === null || ! $pe->isWhole() || $pe->machine !== $first->machine) {
            return [
                "It loads {$name}, which is ".
                ($pe === null
                    ? 'no program'
                    : ($pe->machine !== $first->machine
                        ? 'built for another architecture'
                        : 'not whole')).
                '.',
                null,
            ];
        }
        $refusal = $this->judge->nextStageFault($first, $next);

        return [null, $refusal];
    }
}
