<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Devices\LongLists;
use RuntimeException;

/** Both sides of a backup, of any length: for lists that no form takes. */
final class CompareCommand extends PlainCommand
{
    use SaidWords;

    protected $signature = 'cobblestone:compare-backup {source : list of the originals} {copy : list of the copy}';

    protected $description = 'Compares lists of sha256sum or find from both sides of a backup, in little memory';

    public function handle(): int
    {
        foreach (['source', 'copy'] as $side) {
            if (! is_file($this->said($side))) {
                $this->error("There is no list {$this->said($side)}.");

                return self::FAILURE;
            }
        }
        try {
            [$compared, $notes] = LongLists::compare($this->said('source'), $this->said('copy'));
        } catch (RuntimeException $e) {
            $this->error($e->getMessage());

            return self::FAILURE;
        }
        $this->line($compared->sentence());
        foreach (
            [
                'missing in the copy' => $compared->missing,
                'differs' => $compared->differing,
                'only in the copy' => $compared->besides,
            ] as $what => $paths
        ) {
            foreach (array_slice($paths, 0, 50) as $path) {
                $this->line("  {$what}: {$path}");
            }
        }
        foreach ($notes as $note) {
            $this->warn($note);
        }

        return $compared->proves() ? self::SUCCESS : 2;
    }
}
