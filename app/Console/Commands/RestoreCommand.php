<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\BenchEvent;
use App\SafeKeeping\Restore;
use Illuminate\Console\Command;
use RuntimeException;

/** What bin/restore calls. */
final class RestoreCommand extends Command
{
    use SaidWords;

    protected $signature = 'cobblestone:restore {from : a backup} {--settings-to= : a file that gets the settings} '
        .'{--settings-only}';

    protected $description = 'Puts a backup back into an empty shop and compares everything';

    public function handle(Restore $restore): int
    {
        $from = rtrim($this->said('from'), '/');
        try {
            $passphrase = Passphrase::ask($this, false);
            $settings = $restore->settings($from, $passphrase);
            if (! $this->option('settings-only')) {
                $differences = $restore->read($from, $passphrase, $this->line(...));
                if ($differences !== []) {
                    throw new RuntimeException("Not everything came back:\n".implode("\n", $differences));
                }
                BenchEvent::note('restored', basename($from), [], null);
            }
            if (is_string($to = $this->option('settings-to'))) {
                touch($to);
                chmod($to, 0600);
                file_put_contents($to, $settings);
            }
        } catch (RuntimeException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }

        return self::SUCCESS;
    }
}
