<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Cobblestone\Brief\BriefFault;

/** What has to be kept, as typed, over what the brief said of it before. */
final class IntakeBackup
{
    use TypedFields;

    /** @param  array<string, mixed>  $typed */
    public function __construct(private readonly array $typed)
    {
    }

    /**
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     *
     * @throws BriefFault
     */
    public function over(array $before): array
    {
        $backup = $this->setting($before, 'keep', 'keep', $this->text('keep'));
        $backup = $this->setting($backup, 'folders', 'folders', $this->list('folders'));
        $backup = $this->setting($backup, 'seen_folders', 'seen_folders', $this->list('seen_folders'));
        $backup = $this->setting($backup, 'excluded', 'excluded', $this->list('excluded'));
        $backup = $this->setting($backup, 'bytes', 'backup_bytes', $this->size('backup_bytes', 'backup.bytes'));
        $backup = $this->setting(
            $backup,
            'files',
            'backup_files',
            $this->text('backup_files') === null ? null : (int) $this->text('backup_files'),
        );
        $backup = $this->setting(
            $backup,
            'largest_bytes',
            'backup_largest',
            $this->size('backup_largest', 'backup.largest_bytes'),
        );
        $backup = $this->setting(
            $backup,
            'source_mb_s',
            'source_rate',
            $this->text('source_rate') === null ? null : (float) $this->text('source_rate'),
        );
        $backup = $this->setting($backup, 'existing', 'existing_date', $this->existing());

        return $this->destination($backup);
    }

    /** @return array<string, mixed>|null */
    private function existing(): ?array
    {
        $date = $this->text('existing_date');

        return $date === null
            ? null
            : [
                'date' => $date,
                'proven' => $this->text('existing_proven') === 'yes',
                'samples' => (int) ($this->text('existing_samples') ?? 0),
            ];
    }

    /**
     * @param  array<string, mixed>  $backup
     * @return array<string, mixed>
     *
     * @throws BriefFault
     */
    private function destination(array $backup): array
    {
        $to = $this->setting($backup['destination'] ?? [], 'name', 'dest_name', $this->text('dest_name'));
        $to = $this->setting(
            $to,
            'free_bytes',
            'dest_free',
            $this->size('dest_free', 'backup.destination.free_bytes'),
        );
        $to = $this->setting($to, 'file_system', 'dest_fs', $this->text('dest_fs'));
        $to = $this->setting($to, 'serial', 'dest_serial', $this->text('dest_serial'));
        $to = $this->setting(
            $to,
            'mb_s',
            'dest_rate',
            $this->text('dest_rate') === null ? null : (float) $this->text('dest_rate'),
        );
        unset($backup['destination']);

        return isset($to['name']) ? [...$backup, 'destination' => $to] : $backup;
    }
}
