<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Closure;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;

/** What proves a backup: as much as was planned, the same on both sides, equal checksums, samples opened (rule A6). */
final class BackupEvidence
{
    /** Step whose evidence it is. */
    public const STEP = 'protect.check-backup';

    /** Kinds of file opened from the copy (default of rule A6). */
    public const SAMPLES = 3;

    /** How far the originals may be from what was counted at intake: the owner works on (default). */
    private const SINCE_INTAKE = 0.05;

    /** Whether a stone proves a copy: one that waits for the copy and settles the backup. */
    public static function isProof(Step $step): bool
    {
        return $step->bringsAbout(PathFact::BACKUP_SETTLED) && in_array(PathFact::BACKUP_COPIED, $step->before, true);
    }

    /**
     * @param  int|null  $files  as counted at intake, null where nobody counted
     * @param  Bytes|null  $bytes  of the chosen folders as measured at intake
     * @return list<Evidence>
     */
    public static function wanted(?int $files, ?Bytes $bytes): array
    {
        $planned = self::planned(...);
        $more = 'See whether folders were left out or whether the owner has changed them since; then count again.';
        $again = 'Copy again what is missing, then count again.';
        $same = static fn (string $evidence): Expected => Expected::asIn(self::STEP, $evidence);

        return [
            self::filesInOriginals($planned, $files, $more),
            new Evidence(
                'files_copy',
                'Files in the copy',
                EvidenceKind::Count,
                expected: $same('files_source'),
                remedy: $again,
            ),
            new Evidence(
                'bytes_source',
                'Bytes in the original folders',
                EvidenceKind::Bytes,
                hint: 'du -sb --apparent-size FOLDERS',
                least: 1,
                expected: $planned($bytes?->count),
                overruledBy: ['technician', 'lead'],
                remedy: $more,
            ),
            new Evidence(
                'bytes_copy',
                'Bytes in the copy',
                EvidenceKind::Bytes,
                expected: $same('bytes_source'),
                remedy: $again,
            ),
            self::checksums(),
            self::samplesOpened(),
        ];
    }

    /**
     * @param  Closure(int|null): (Expected|null)  $planned
     */
    private static function filesInOriginals(Closure $planned, ?int $files, string $more): Evidence
    {
        return new Evidence(
            'files_source',
            'Files in the original folders',
            EvidenceKind::Count,
            hint: 'find FOLDERS -type f | wc -l',
            least: 1,
            expected: $planned($files),
            overruledBy: ['technician', 'lead'],
            remedy: $more,
        );
    }

    private static function checksums(): Evidence
    {
        return new Evidence(
            'checksums',
            'Checksums of the copy',
            EvidenceKind::Choice,
            ['equal' => 'all equal', 'differ' => 'some differ', 'not-made' => 'not compared'],
            'sha256sum -c SHA256SUMS',
            expected: new Expected('equal'),
            remedy: 'Copy the differing files again, or have the gate waived in writing.',
        );
    }

    private static function samplesOpened(): Evidence
    {
        return new Evidence(
            'samples',
            'Kinds of file opened from the copy',
            EvidenceKind::Count,
            hint: 'a picture, a document, a mail folder',
            least: self::SAMPLES,
        );
    }

    /**
     * What proves that files were carried over onto a new drive: as many as were planned, the same on both sides.
     *
     * @param  string  $step  id of the step whose evidence it is
     * @param  int|null  $files  as counted at intake, null where nobody counted
     * @return list<Evidence>
     */
    public static function carriedOver(string $step, ?int $files, ?Bytes $bytes): array
    {
        $roles = ['technician', 'lead'];
        $more = 'See whether a folder was left out; then count again.';
        $again = 'Copy again what is missing, then count again.';

        return [
            new Evidence(
                'files_old',
                'Files where they came from',
                EvidenceKind::Count,
                hint: 'find FOLDERS -type f | wc -l',
                least: 1,
                expected: self::planned($files),
                overruledBy: $roles,
                remedy: $more,
            ),
            self::filesOver($step, $again),
            new Evidence(
                'bytes_old',
                'Bytes where they came from',
                EvidenceKind::Bytes,
                hint: 'du -sb --apparent-size FOLDERS',
                least: 1,
                expected: self::planned($bytes?->count),
                overruledBy: $roles,
                remedy: $more,
            ),
            new Evidence(
                'bytes_over',
                'Bytes carried over',
                EvidenceKind::Bytes,
                expected: Expected::asIn($step, 'bytes_old'),
                overruledBy: ['lead'],
                remedy: $again,
            ),
        ];
    }

    private static function filesOver(string $step, string $again): Evidence
    {
        return new Evidence(
            'files_over',
            'Files carried over',
            EvidenceKind::Count,
            expected: Expected::asIn($step, 'files_old'),
            overruledBy: ['lead'],
            remedy: $again,
        );
    }

    private static function planned(?int $value): ?Expected
    {
        return $value === null || $value === 0 ? null : new Expected((string) $value, self::SINCE_INTAKE);
    }
}
