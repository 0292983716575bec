<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\CatalogueFolder;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Job\FinishedMachine;
use Cobblestone\Machine\Difference\DifferenceLine;
use Cobblestone\Machine\Difference\MachineDifference;
use Cobblestone\Tuning\Proof\SameMachine;
use RuntimeException;

/** Two readings of one machine as a difference in words. */
final class DifferenceCommand extends PlainCommand
{
    use ReadsBundles, SaidWords;

    protected $signature = 'cobblestone:difference {before : bundle of before} {after : bundle of after}
        {--catalogue= : a folder of catalogue files}
        {--json : print the difference as JSON}';

    protected $description = 'What went, came and changed between two readings of one machine';

    public function handle(): int
    {
        try {
            $catalogue = CatalogueFolder::read(
                (string) ($this->chosen('catalogue') ?? config('cobblestone.catalogue')),
            )->catalogue();
            [$before, $after] = [
                FinishedMachine::of($this->bundle([$this->said('before')])->readings, $catalogue),
                FinishedMachine::of($this->bundle([$this->said('after')])->readings, $catalogue),
            ];
        } catch (BriefFault|RuntimeException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $difference = MachineDifference::between($before, $after);
        $this->option('json') ? $this->asJson($difference, SameMachine::fault($before, $after))
            : $this->told($difference, SameMachine::fault($before, $after));

        return self::SUCCESS;
    }

    private function asJson(MachineDifference $difference, ?string $another): void
    {
        $this->output->writeln((string) json_encode(
            [
                'differences' => array_map(
                    static fn (DifferenceLine $line): array => $line->toArray(),
                    $difference->lines,
                ),
                'read_on_one_side_only' => $difference->unseen,
                'same_machine' => $another === null,
                'not_read' => $this->notRead,
            ],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
        ), \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);
    }

    private function told(MachineDifference $difference, ?string $another): void
    {
        $another === null || $this->line('These are two machines, not one: their serials differ.');
        array_map(fn (DifferenceLine $line) => $this->line("{$line->part}: {$line->sentence()}"), $difference->lines);
        $difference->lines === [] && $this->line('Nothing differs of what both say.');
        array_map(fn (string $part) => $this->line("{$part}: only one of the two says anything."), $difference->unseen);
    }
}
