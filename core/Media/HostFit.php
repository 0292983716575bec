<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\HostCommands;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\HostScript;
use Cobblestone\Catalogue\HostTool;

/** What speaks against making a stick on another computer (rules M13, M14). */
final class HostFit
{
    /** Programs that unpack an image while it is written. */
    private const EXPANDERS = ['gzip', 'bzip2', 'xz', 'zstd'];

    /**
     * @param  string|null  $system  identifier of the system in the image
     * @param  string|null  $version  of the image
     */
    public static function newer(HostProfile $host, ?string $system, ?string $name, ?string $version): ?string
    {
        $newest = $host->newestOf($system);

        return $newest === null || $version === null || version_compare($version, $newest) <= 0 ? null
            : 'The newest '.($name ?? 'image')." that the tools of {$host->name} take is {$newest}, and this is "
                ."{$version}: make the stick here, or on a computer with newer tools.";
    }

    /**
     * What that computer does not bring and this way wants.
     *
     * @param  string|null  $compression  of the image: it is unpacked only where it is written raw
     * @param  bool  $storage  whether a second partition is wanted
     * @return list<HostTool>
     */
    public static function lacks(
        HostProfile $host,
        WriteMode $mode,
        ?string $compression,
        bool $storage = false,
    ): array {
        $raw = $mode === WriteMode::Raw;

        return array_values(array_filter($host->lacks, static fn (HostTool $one): bool => match (true) {
            in_array($one->tool, self::EXPANDERS, true) => $raw && $one->tool === $compression,
            $one->tool === 'mkfs.exfat' => $storage,
            default => ! $raw,
        }));
    }

    /**
     * @param  bool  $parts  whether a file has to be cut into parts
     * @param  bool  $splitter  whether only the system's own splitter cuts it
     * @param  bool  $storage  whether a second partition is wanted
     * @return list<string>
     */
    public static function cannot(
        HostProfile $host,
        WriteMode $mode,
        bool $parts = false,
        bool $splitter = false,
        bool $storage = false,
    ): array {
        if ($host->script !== HostScript::Own) {
            return $host->script === null
                ? [ucfirst("{$host->name} runs no script of ours: make the stick here.")]
                : [];
        }
        $of = $host->commands;
        if ($mode === WriteMode::Raw) {
            return $of->lacking(HostCommands::RAW) === [] ? []
                : [ucfirst("{$host->name} has no command that writes a drive from its first byte on and reads it ".
                    'back.')];
        }
        $against = [
            'copies files onto a new volume and takes them off again' => $of->lacking(HostCommands::COPYING) !== [],
            'cuts a file into parts, and one does not fit as it is' => $parts && ! $splitter && $of->cut === [],
            'cuts the largest file as this system\'s own splitter does' => $splitter,
            'makes a second partition' => $storage,
        ];

        return array_map(
            static fn (string $what): string => ucfirst("{$host->name} has no command that {$what}."),
            array_keys(array_filter($against)),
        );
    }
}
