<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\FirstBootProfile;
use Cobblestone\Catalogue\FirstBootRow;
use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\InstallPhase;
use Cobblestone\Catalogue\InstallProfile;
use Cobblestone\Catalogue\SystemFirmware;
use Cobblestone\Catalogue\SystemPartition;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Catalogue\UpdateProfile;
use Cobblestone\Document\DocumentFault;
use Cobblestone\Document\Fields;

/** What is assumed of a system or image that the catalogue does not hold, so that a path exists all the same (rule J13). */
final class SystemDefaults
{
    /**
     * @param  array<string, mixed>  $given  what the brief tells of it
     *
     * @throws BriefFault
     */
    public static function system(array $given): SystemProfile
    {
        if (! is_string($given['name'] ?? null) || trim($given['name']) === '') {
            throw BriefFault::at('system.name', 'a system the catalogue does not hold needs at least a name.');
        }

        return new SystemProfile(
            id: 'described-system', name: trim($given['name']), asOf: 'this job', source: 'kind defaults',
            firmware: new SystemFirmware('either', 'any'),
            partitions: [
                new SystemPartition('EFI system', 'efi', 'efi-system', 'fat32', 260),
                new SystemPartition('system', 'system', 'linux-filesystem', 'by the installer'),
            ],
            install: new InstallProfile([
                new InstallPhase('Copy files', [8, 20, 45], true),
                new InstallPhase('First start', [1, 4, 12], false),
            ]),
            firstBoot: new FirstBootProfile([3, 8, 20], [
                new FirstBootRow('Region and keyboard', 'as the owner uses them'),
                new FirstBootRow('Account', 'the owner\'s name; the owner types the password'),
                new FirstBootRow('Diagnostic data and offers', 'as little as it allows'),
            ]),
            updates: new UpdateProfile([5, 20, 60], 1),
        );
    }

    /**
     * @param  array<string, mixed>  $given  what the brief tells of it
     *
     * @throws BriefFault
     */
    public static function image(array $given): Image
    {
        if (! is_string($given['name'] ?? null) || trim($given['name']) === '') {
            throw BriefFault::at('image.name', 'an image the shelf does not hold needs at least its file name.');
        }
        if (! is_int($given['bytes'] ?? null) || $given['bytes'] < 1) {
            throw BriefFault::at('image.bytes', 'its size in bytes is wanted, a whole number above 0.');
        }
        $name = trim($given['name']);
        try {
            return Image::read(Fields::of([
                'kind' => 'optical-hybrid', 'kind_assumed' => ! isset($given['kind']), ...$given,
                'id' => 'described-image', 'name' => $name, 'file' => $name,
            ], 'image'));
        } catch (DocumentFault $fault) {
            throw BriefFault::at($fault->field, $fault->reason);
        }
    }
}
