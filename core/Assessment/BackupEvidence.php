<?php

declare(strict_types=1);

namespace Cobblestone\Assessment;

use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Refused;

/** What proves a backup: the same count, the same bytes, equal checksums, samples opened (rule A6). */
final class BackupEvidence
{
    /** Kinds of file opened from the copy (default of rule A6). */
    public const SAMPLES = 3;

    /** @return list<Evidence> */
    public static function wanted(): array
    {
        return [
            new Evidence('files_source', 'Files in the original folders', 'count', hint: 'find FOLDERS -type f | wc -l'),
            new Evidence('files_copy', 'Files in the copy', 'count'),
            new Evidence('bytes_source', 'Bytes in the original folders', 'bytes', hint: 'du -sb --apparent-size FOLDERS'),
            new Evidence('bytes_copy', 'Bytes in the copy', 'bytes'),
            new Evidence('checksums', 'Checksums of the copy', 'choice', ['equal' => 'all equal', 'differ' => 'some differ', 'not-made' => 'not compared'], 'sha256sum -c SHA256SUMS'),
            new Evidence('samples', 'Kinds of file opened from the copy', 'count', hint: 'a picture, a document, a mail folder'),
        ];
    }

    /**
     * @param  array<string, string>  $given  by evidence id
     *
     * @throws Refused with the field that does not prove it
     */
    public static function check(array $given): void
    {
        $number = static fn (string $id): int => (int) str_replace([' ', '_'], '', $given[$id] ?? '');
        if ($number('files_source') !== $number('files_copy')) {
            throw Refused::evidence('files_copy', sprintf('The copy has %d files, the original folders %d. Copy again what is missing, then count again.', $number('files_copy'), $number('files_source')));
        }
        if ($number('files_source') === 0) {
            throw Refused::evidence('files_source', 'A backup of no files proves nothing. If there is nothing to keep, have the gate waived in writing.');
        }
        if ($number('bytes_source') !== $number('bytes_copy')) {
            throw Refused::evidence('bytes_copy', 'The copy and the original folders differ by '.number_format(abs($number('bytes_source') - $number('bytes_copy')), 0, '.', ' ').' bytes.');
        }
        if (($given['checksums'] ?? '') !== 'equal') {
            throw Refused::evidence('checksums', 'The gate opens when all checksums are equal. Copy the differing files again, or have the gate waived in writing.');
        }
        if ($number('samples') < self::SAMPLES) {
            throw Refused::evidence('samples', 'Open at least '.self::SAMPLES.' different kinds of file from the copy.');
        }
    }
}
