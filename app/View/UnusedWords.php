<?php

namespace App\View;

use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Policy\Schools;

/** What was said and this job has no use for, as its fields are called on the form (rule U1). */
final class UnusedWords
{
    /** Path in the brief => the field's words. */
    private const FIELDS = [
        'edition' => 'Edition',
        'sticks' => 'The only sticks to choose from',
        'host' => 'Where the stick is made',
        'collect' => 'A small stick reads the machine first',
        'depends' => 'Programs and devices the owner depends on',
        'extras' => 'From elsewhere',
        'released' => 'A guard that was released',
        'memory' => 'Memory sheet',
        'machine.ports' => 'Sockets',
        'backup.keep' => 'What has to be kept',
        'backup.folders' => 'Folders to copy',
        'backup.seen_folders' => 'Folders seen on it',
        'backup.excluded' => 'Left out on purpose',
        'backup.bytes' => 'How much it is together',
        'backup.files' => 'How many files',
        'backup.largest_bytes' => 'Largest file',
        'backup.source_mb_s' => 'Rate of the drive copied from',
        'backup.destination' => 'Copied to',
        'backup.existing' => 'A backup that is there already',
        'licence.kind' => 'Licence',
        'licence.edition' => 'Edition the licence fits',
        'update.reason' => 'Reason for a firmware update',
        'update.to' => 'Firmware version to reach',
        'update.gives' => 'What the firmware must bring',
        'update.processor' => 'Processor that comes in',
        'update.on_stick' => 'Firmware file on a stick already',
        'card.new' => 'New graphics card',
        'card.old' => 'Card that goes out',
        'card.id' => 'Identifier of the new card',
        'card.watts' => 'Watts of the card',
        'card.supply_w' => 'Watts of the supply',
        'card.processor_w' => 'Watts of the processor',
        'card.rest_w' => 'Watts of the rest',
        'card.leads' => 'Power leads for the card',
        'first_boot.computer_name' => 'Computer name',
        'first_boot.region' => 'Region',
        'first_boot.keyboard' => 'Keyboard',
        'first_boot.use' => 'How it is used',
        'first_boot.account' => 'Account',
        'first_boot.restore' => 'Set up as new or from an earlier one',
    ];

    /**
     * @param  list<string>  $paths
     * @return list<string>
     */
    public static function of(array $paths): array
    {
        return array_map(static function (string $path): string {
            $fact = str_starts_with($path, 'machine.facts.') ? substr($path, strlen('machine.facts.')) : null;
            $school = str_starts_with($path, 'policy.') ? substr($path, strlen('policy.')) : null;

            return match (true) {
                $fact !== null => ucfirst(FactRegistry::spoken($fact)),
                $school !== null => Schools::all()[$school]->title ?? $school,
                default => self::FIELDS[$path] ?? $path,
            };
        }, $paths);
    }
}
