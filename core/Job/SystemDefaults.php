<?php

declare(strict_types=1);

namespace Cobblestone\Job;

/** What is assumed of a system or image that the catalogue does not hold, so that a path exists all the same (rule J13). */
final class SystemDefaults
{
    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed> a document of the systems schema
     *
     * @throws BriefFault
     */
    public static function system(array $given): array
    {
        if (! is_string($given['name'] ?? null) || trim($given['name']) === '') {
            throw BriefFault::at('system.name', 'a system the catalogue does not hold needs at least a name.');
        }

        return [
            'id' => 'described-system', 'name' => trim($given['name']), 'as_of' => 'this job', 'source' => 'kind defaults',
            'needs' => [],
            'firmware' => ['boot_mode' => 'either', 'secure_boot_after' => 'any'],
            'partitions' => [
                ['name' => 'EFI system', 'role' => 'efi', 'type' => 'efi-system', 'mebibytes' => 260, 'file_system' => 'fat32'],
                ['name' => 'system', 'role' => 'system', 'type' => 'linux-filesystem', 'file_system' => 'by the installer'],
            ],
            'install' => ['phases' => [
                ['name' => 'Copy files', 'minutes' => [8, 20, 45], 'restart' => true],
                ['name' => 'First start', 'minutes' => [1, 4, 12], 'restart' => false],
            ]],
            'first_boot' => ['minutes' => [3, 8, 20], 'rows' => [
                ['ask' => 'Region and keyboard', 'answer' => 'as the owner uses them'],
                ['ask' => 'Account', 'answer' => 'the owner\'s name; the owner types the password'],
                ['ask' => 'Diagnostic data and offers', 'answer' => 'as little as it allows'],
            ]],
            'updates' => ['minutes' => [5, 20, 60], 'restarts' => 1],
            'built_in_families' => [],
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed> a document of the images schema, as far as known
     *
     * @throws BriefFault
     */
    public static function image(array $given): array
    {
        if (! is_string($given['name'] ?? null) || trim($given['name']) === '') {
            throw BriefFault::at('image.name', 'an image the shelf does not hold needs at least its file name.');
        }
        if (! is_int($given['bytes'] ?? null) || $given['bytes'] < 1) {
            throw BriefFault::at('image.bytes', 'its size in bytes is wanted, a whole number above 0.');
        }

        return [
            'id' => 'described-image', 'name' => trim($given['name']), 'file' => trim($given['name']), 'bytes' => $given['bytes'],
            'kind' => $given['kind'] ?? 'optical-hybrid', 'kind_assumed' => ! isset($given['kind']),
            ...array_intersect_key($given, array_flip(['expanded_bytes', 'architecture', 'files', 'loader', 'sha256', 'models'])),
        ];
    }
}
