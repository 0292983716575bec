<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Answers\AnswerFault;
use App\Answers\AnswerTemplate;
use Cobblestone\Brief\FirstBootBlock;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Install\AnswerFile;
use Cobblestone\Job\MachineFaults;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Policy\Policy;

/** What entries say of each other, and of themselves beyond their schema: what is named has to be there. */
final class References
{
    /** Kind => field => kind of the entries it names. */
    private const NAMES = [
        'images' => ['system' => 'systems', 'loader.signer' => 'signers'],
        'systems' => ['firmware.signer' => 'signers', 'upgrades_from' => 'systems'],
        'apps' => ['systems' => 'systems'],
        'hosts' => ['system' => 'systems', 'newest.*.system' => 'systems'],
        'machines' => ['firmware.trusts' => 'signers', 'usual_image' => 'images'],
        'drivers' => ['systems' => 'systems', 'needs' => 'drivers', 'models' => 'machines'],
    ];

    /**
     * @param  array<string, array<string, array<string, mixed>>>  $entries  kind => id => document
     * @return list<string>
     */
    public static function faults(array $entries): array
    {
        $faults = [];
        foreach (self::NAMES as $kind => $fields) {
            foreach ($entries[$kind] ?? [] as $id => $document) {
                foreach ($fields as $field => $of) {
                    foreach ((array) data_get($document, $field, []) as $named) {
                        if (! is_string($named) || ! isset($entries[$of][$named])) {
                            $named = is_scalar($named) ? (string) $named : '?';
                            $faults[] = "{$kind}/{$id}.yaml: {$field}: the catalogue has no ".rtrim($of, 's').
                                " \"{$named}\".";
                        }
                    }
                }
            }
        }

        return [...$faults, ...self::machines($entries['machines'] ?? []), ...self::systems($entries['systems'] ?? [])];
    }

    /**
     * @param  array<string, array<string, mixed>>  $machines
     * @return list<string>
     */
    private static function machines(array $machines): array
    {
        $faults = [];
        foreach ($machines as $id => $document) {
            foreach (MachineFaults::of(MachineModel::fromArray($document)) as $fault) {
                $faults[] = "machines/{$id}.yaml: {$fault}";
            }
        }

        return $faults;
    }

    /**
     * @param  array<string, array<string, mixed>>  $systems
     * @return list<string>
     */
    private static function systems(array $systems): array
    {
        $faults = [];
        foreach ($systems as $id => $document) {
            $open = array_filter(
                (array) ($document['partitions'] ?? []),
                static fn (mixed $partition): bool => is_array($partition) && ! isset($partition['mebibytes']),
            );
            if (count($open) > 1) {
                $faults[] = "systems/{$id}.yaml: partitions: only one partition can take the rest of the drive.";
            }
            $fault = self::answerFile($document);
            if ($fault !== null) {
                $faults[] = "systems/{$id}.yaml: answer_file.template: {$fault}";
            }
        }

        return $faults;
    }

    /**
     * What is wrong with an answer file's template, filled in with what a job might say.
     *
     * @param  array<string, mixed>  $document
     */
    private static function answerFile(array $document): ?string
    {
        if (! isset($document['answer_file'])) {
            return null;
        }
        $system = SystemProfile::fromArray($document);
        $profile = $system->answerFile;
        try {
            foreach ([new FirstBootBlock(), new FirstBootBlock('QF-01')] as $said) {
                $values = AnswerFile::values($system, $said, Policy::of(), $system->editions[0] ?? null, ['memory']);
                (new AnswerTemplate($profile->template ?? '', $profile->format ?? 'xml'))->fill($values);
            }
        } catch (AnswerFault $e) {
            return $e->getMessage();
        }

        foreach ($profile->answers ?? [] as $id) {
            if (preg_match('/\{\{\s*'.preg_quote($id, '/').'\b/', $profile->template ?? '') !== 1) {
                return "it says that it answers \"{$id}\", and {{ {$id} }} is not in it.";
            }
        }

        return null;
    }
}
