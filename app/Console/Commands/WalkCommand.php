<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\PathDocument;
use App\Documents\DocumentFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\WalkThrough;
use DomainException;
use InvalidArgumentException;
use Symfony\Component\Console\Output\OutputInterface;

/** Walks a path in thought: which stones can be laid in their order, and why the others cannot. */
final class WalkCommand extends PlainCommand
{
    use SaidWords;

    protected $signature = 'cobblestone:walk {document : a brief in YAML, or a plan in JSON} {--catalogue= : a folder '
        .'instead of the demo catalogue} {--except= : ids of stones that are left out, with commas} {--json : for '
            .'other programs}';

    protected $description = 'Lays every stone of a path in order with the evidence it expects, and says which are '
        .'refused';

    public function handle(): int
    {
        try {
            $plan = PathDocument::plan($this->said('document'), $this->chosen('catalogue'));
        } catch (DocumentFault|UnknownEntry|DomainException|InvalidArgumentException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
        $except = array_values(array_filter(array_map(trim(...), explode(',', $this->chosen('except') ?? ''))));
        $unknown = array_diff($except, array_map(static fn ($step): string => $step->id, $plan->steps));
        if ($unknown !== []) {
            return $this->unknownStones($unknown, $plan);
        }
        $walked = WalkThrough::of($plan, $except);
        if ($this->option('json')) {
            $this->getOutput()->writeln(
                (string) json_encode(
                    ['verdict' => $plan->verdict()->value, 'steps' => $walked],
                    JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->line("verdict {$plan->verdict()->value}");
            foreach ($walked as $step) {
                $this->line(
                    sprintf(
                        '%-8s %s%s',
                        $step['laid'] ? 'laid' : ($step['refused'] === null ? 'left out' : 'refused'),
                        $step['id'],
                        $step['refused'] === null ? '' : ": {$step['refused']}",
                    ),
                );
            }
        }

        return self::SUCCESS;
    }

    /**
     * @param  array<int, string>  $unknown
     */
    private function unknownStones(array $unknown, Plan $plan): int
    {
        $this->getOutput()
            ->getErrorStyle()
            ->writeln(
                'This path has no stone "'.
                    implode('", "', $unknown).
                    '". Its stones: '.
                    implode(', ', array_map(static fn ($step): string => $step->id, $plan->steps)).
                    '.',
            );

        return self::FAILURE;
    }
}
