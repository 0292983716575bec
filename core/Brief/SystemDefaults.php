<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Catalogue\FirstBootProfile;
use Cobblestone\Catalogue\FirstBootRow;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\InstallPhase;
use Cobblestone\Catalogue\InstallProfile;
use Cobblestone\Catalogue\SystemFirmware;
use Cobblestone\Catalogue\SystemPartition;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Catalogue\UpdateProfile;
use Cobblestone\Document\Fields;

/**
 * What is assumed of a system or image that the catalogue does not hold, so that a path exists all the same (rule
 * J13).
 */
final class SystemDefaults
{
    /** What a brief can tell of an image besides its name. */
    private const OF_AN_IMAGE = [
        'bytes',
        'kind',
        'expanded_bytes',
        'architecture',
        'files',
        'loader',
        'sha256',
        'models',
        'origin',
    ];

    /**
     * @param  Fields  $given  what the brief tells of it
     *
     * @throws BriefFault
     */
    public static function system(Fields $given): SystemProfile
    {
        $name = self::name($given);
        if ($name === '') {
            throw BriefFault::at('system.name', 'a system the catalogue does not hold needs at least a name.');
        }

        return new SystemProfile(
            id: 'described-system',
            name: $name,
            asOf: 'this job',
            source: 'kind defaults',
            firmware: new SystemFirmware('either', 'any'),
            partitions: [
                new SystemPartition('EFI system', 'efi', 'efi-system', 'fat32', 260),
                new SystemPartition('system', 'system', 'linux-filesystem', 'by the installer'),
            ],
            install: new InstallProfile([
                new InstallPhase('Copy files', [8, 20, 45], true),
                new InstallPhase('First start', [1, 4, 12], false),
            ]),
            firstBoot: new FirstBootProfile(
                [3, 8, 20],
                [
                    new FirstBootRow('Region and keyboard', 'as the owner uses them'),
                    new FirstBootRow('Account', 'the owner\'s name; the owner types the password'),
                    new FirstBootRow('Diagnostic data and offers', 'as little as it allows'),
                ],
            ),
            updates: new UpdateProfile([5, 20, 60], 1),
        );
    }

    /**
     * @param  Fields  $given  what the brief tells of it
     *
     * @throws BriefFault
     */
    public static function image(Fields $given): Image
    {
        $name = self::name($given);
        if ($name === '') {
            throw BriefFault::at('image.name', 'an image the shelf does not hold needs at least its file name.');
        }
        $bytes = $given->raw('bytes');
        if (! is_int($bytes) || $bytes < 1) {
            throw BriefFault::at('image.bytes', 'its size in bytes is wanted, a whole number above 0.');
        }
        $told = array_intersect_key($given->all(), array_flip(self::OF_AN_IMAGE));
        $none = array_key_exists('sha256', $given->all()) && $given->raw('sha256') === null;

        return Image::read(
            Fields::of(
                [
                    'kind' => 'optical-hybrid',
                    ...$told,
                    'kind_assumed' => ! $given->has('kind'),
                    'no_checksum' => $none,
                    'id' => 'described-image',
                    'name' => $name,
                    'file' => $name,
                ],
                'image',
            ),
        );
    }

    /**
     * What a brief told of it, without what was assumed.
     *
     * @return array<string, mixed>
     */
    public static function told(SystemProfile|Image $described): array
    {
        if ($described instanceof SystemProfile) {
            return ['name' => $described->name];
        }
        $told = array_intersect_key($described->toArray(), array_flip(self::OF_AN_IMAGE));
        if ($described->kindAssumed) {
            unset($told['kind']);
        }
        if ($described->noChecksum) {
            $told['sha256'] = null;
        }

        return ['name' => $described->name, ...$told];
    }

    private static function name(Fields $given): string
    {
        $name = $given->raw('name');

        return is_string($name) ? trim($name) : '';
    }
}
