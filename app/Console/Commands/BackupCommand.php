<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\SafeKeeping;
use App\SafeKeeping\Backup;
use Illuminate\Console\Command;
use RuntimeException;

/** What bin/backup calls. */
final class BackupCommand extends Command
{
    use SaidWords;

    protected $signature = 'cobblestone:backup {to : a folder} {--with-shelf} {--with-sticks}';

    protected $description = 'Writes everything a shop cannot do without into a folder, and reads it back';

    public function handle(Backup $backup): int
    {
        try {
            $settings = @file_get_contents(base_path('.env'));
            $made = $backup->write(
                $this->said('to'),
                Passphrase::ask($this, true),
                $settings === false ? '' : $settings,
                (bool) $this->option('with-shelf'),
                (bool) $this->option('with-sticks'),
                $this->line(...),
            );
        } catch (RuntimeException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        SafeKeeping::query()->create([
            'kind' => 'backup',
            'place' => mb_substr($made['place'], -400),
            'bytes' => $made['bytes'],
            'parts' => $made['parts'],
            'created_at' => now(),
        ]);
        foreach ($backup->notes as $note) {
            $this->warn($note);
        }
        $this->info(sprintf('Backed up and read back: %s, %.1f MB.', $made['place'], $made['bytes'] / 1e6));

        return self::SUCCESS;
    }
}
