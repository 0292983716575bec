<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Database\LogChain;

/** Whether the logs are what was written: every entry against its hash, the hashes against each other. */
final class LogCommand extends PlainCommand
{
    protected $signature = 'cobblestone:log {action=verify : verify} {--json : for other programs}';

    protected $description = 'Holds every entry of the logs against the chain of hashes';

    public function handle(): int
    {
        if ($this->argument('action') !== 'verify') {
            $this->error('The action is verify.');

            return self::FAILURE;
        }
        $found = array_combine(LogChain::LOGS, array_map(LogChain::verify(...), LogChain::LOGS));
        $faults = array_merge(...array_column($found, 'faults'));
        if ($this->option('json')) {
            $this->output->writeln((string) json_encode($found, JSON_PRETTY_PRINT));

            return $faults === [] ? self::SUCCESS : self::FAILURE;
        }
        foreach ($found as $log => $one) {
            $this->line(
                sprintf(
                    '%s: %d entries, %d of them with contents removed, end %s',
                    $log,
                    $one['entries'],
                    $one['removed'],
                    substr($one['head'], 0, 16),
                ),
            );
            foreach ($one['faults'] as $fault) {
                $this->error("  {$fault}");
            }
        }

        return $faults === [] ? self::SUCCESS : self::FAILURE;
    }
}
