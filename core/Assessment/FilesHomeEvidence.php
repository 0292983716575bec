<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;

/** What proves that files came home: as many as in the copy, equal checksums, opened by their owner (rule A6). */
final class FilesHomeEvidence
{
    /**
     * @param  list<string>  $programs  that the owner cannot do without
     * @return list<Evidence>
     */
    public static function wanted(array $programs): array
    {
        return [
            self::counted('files_home', 'Files that are home', EvidenceKind::Count, 'files_copy'),
            self::counted('bytes_home', 'Bytes that are home', EvidenceKind::Bytes, 'bytes_copy'),
            ...self::compared(),
            ...$programs === [] ? [] : [self::programs($programs)],
        ];
    }

    /** @return list<Evidence> what is looked at beside the counts, wherever the files came from */
    public static function compared(): array
    {
        return [
            self::checksums(),
            new Evidence(
                'samples_home',
                'Kinds of file that the owner opened',
                EvidenceKind::Count,
                hint: 'a picture, a document, a mail folder',
                least: BackupEvidence::SAMPLES,
            ),
            self::rights(),
            new Evidence(
                'online_only',
                'Files that lay online only',
                EvidenceKind::Choice,
                [
                    'none' => 'there were none',
                    'back' => 'the owner signed in, and they are there',
                    'later' => 'they come when the owner signs in',
                ],
            ),
        ];
    }

    private static function checksums(): Evidence
    {
        return new Evidence(
            'checksums_home',
            'Checksums of what is home',
            EvidenceKind::Choice,
            ['equal' => 'all equal', 'differ' => 'some differ', 'not-made' => 'not compared'],
            'sha256sum -c SHA256SUMS',
            expected: new Expected('equal'),
            overruledBy: ['lead'],
            remedy: 'Copy the differing files once more, and compare again.',
        );
    }

    private static function rights(): Evidence
    {
        return new Evidence(
            'rights_home',
            'The owner can change and save one of them',
            EvidenceKind::Choice,
            ['yes' => 'yes', 'no' => 'no, the system refuses'],
            expected: new Expected('yes'),
            overruledBy: ['lead'],
            remedy: 'Give the files to the owner\'s account, folders included, and try once more.',
        );
    }

    private static function counted(string $id, string $label, EvidenceKind $kind, string $copy): Evidence
    {
        return new Evidence(
            $id,
            $label,
            $kind,
            expected: Expected::asIn(BackupEvidence::STEP, $copy),
            overruledBy: ['lead'],
            remedy: 'Copy again what is missing, then count again.',
        );
    }

    /** @param  list<string>  $programs */
    private static function programs(array $programs): Evidence
    {
        $named = array_map(
            static fn (string $one): string => trim((string) preg_replace('/[,;\s]+/u', ' ', $one)),
            $programs,
        );

        return new Evidence(
            'programs',
            'Programs that the owner needs, each started once',
            EvidenceKind::Ticks,
            expected: new Expected(implode(', ', $named)),
            overruledBy: ['technician', 'lead'],
            remedy: 'Install it, or agree with the owner on what stands in for it.',
        );
    }
}
