<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\Fact;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/** The first stones: take in, look at the machine, the owner's word, lay out the tools (rules J5, J7, J9). */
final class IntakeSteps
{
    /**
     * @param  bool  $keepsSystem  whether the present system stays: then nothing is lost on purpose
     * @param  list<string>  $notCopied  what of the owner's is known not to be copied
     * @return list<Step>
     */
    public static function first(Machine $machine, ?Drive $target, string $owner, bool $nothingToKeep, bool $keepsSystem = false, array $notCopied = []): array
    {
        $ports = array_count_values(array_map(static fn ($port): string => $port->connector, $machine->ports));
        $count = implode(', ', array_map(static fn (string $connector, int $n): string => "{$n} × {$connector}", array_keys($ports), $ports));

        return [
            new Step('intake.take-in', Stage::Intake, 'Take in', Presence::Hands, Estimate::minutes(1, 3, 8),
                ['Look the machine over together with whoever brings it; note scratches, missing screws, a swollen case.', 'Note what came with it: charger, bag, adapters.'],
                after: [Fact::TAKEN_IN], needs: ['hands'],
                because: [new Reason('Condition and accessories are ticked out again at pick-up.', 'L6')],
                cautions: $machine->kind->isPortable() ? ['A swollen case means a damaged battery: stop, do not charge.'] : [],
                evidence: [new Evidence('condition', 'Condition: scratches, screws, cell', 'text'), new Evidence('accessories', 'What came with it', 'text', hint: 'one by one with commas: charger, bag, adapter; or "nothing"')],
            ),
            new Step('identify.look', Stage::Identify, 'Look at the label', Presence::Hands, Estimate::minutes(0.5, 1, 3),
                [$machine->isCatalogued() ? "Compare model and suffix on the label with \"{$machine->title}\". A sibling with another suffix is another machine." : 'Note maker, model, suffix and revision from the label.', $count === '' ? 'Count the sockets a stick could go into.' : "Count the sockets: {$count}."],
                before: [Fact::TAKEN_IN], after: [Fact::MACHINE_IDENTIFIED], needs: ['hands'],
                because: [new Reason($machine->isCatalogued() ? 'Ways in, settings and sockets come from the catalogue and are assumed until someone has looked.' : 'Nothing is known of this model yet; what is found here can be kept for the next one.', 'J7')],
            ),
            self::ownersWord($target, $owner, $nothingToKeep, $keepsSystem, $notCopied),
        ];
    }

    /** @param  list<string>  $notCopied */
    private static function ownersWord(?Drive $target, string $owner, bool $nothingToKeep, bool $keepsSystem, array $notCopied): Step
    {
        $loses = $target === null || $target->partitions === [] ? 'everything on the drive that is not copied before' : 'everything on '.$target->title().' that is not copied before';

        return new Step('protect.owner-word', Stage::Protect, 'The owner\'s word', Presence::Hands, Estimate::minutes(1, 3, 10),
            [$keepsSystem ? "Tell {$owner} what is done and what could go wrong; files and programs are meant to stay." : "Tell {$owner}: lost is {$loses} — programs, settings, sign-ins, and files outside the agreed folders.", $nothingToKeep ? 'Have them say in writing that nothing has to be kept.' : 'Go through the folders that are copied.', ...($notCopied === [] ? [] : ['Say aloud what is not copied: '.implode('; ', $notCopied).'.'])],
            before: [Fact::TAKEN_IN], after: $nothingToKeep ? [Fact::OWNER_AGREED, Fact::BACKUP_SETTLED] : [Fact::OWNER_AGREED], needs: ['hands'],
            done: DoneWords::of($keepsSystem ? 'You were told what would be done, and what could go wrong' : ($nothingToKeep ? 'You agreed that nothing had to be kept' : 'You agreed to what would be lost'), 'agreed_by', 'promised'),
            because: [new Reason($keepsSystem ? 'What was promised is on record: who agreed, when and how.' : 'A drive is erased only after its owner has agreed, and the record says who, when and how.', 'J9')],
            evidence: [new Evidence('agreed_by', 'Who agreed', 'text'), new Evidence('promised', 'What was promised', 'text', hint: 'in their words'), new Evidence('agreed_how', 'How', 'choice', ['in-writing' => 'in writing', 'in-person' => 'in person', 'by-phone' => 'by phone'])],
        );
    }

    /** @param  list<GatherItem>  $items */
    public static function gather(array $items): Step
    {
        return new Step('gather.lay-out', Stage::Gather, 'Lay out tools', Presence::Hands, Estimate::minutes(1, 3, 8),
            array_map(static fn (GatherItem $item): string => ($item->count > 1 ? "{$item->count} × " : '')."{$item->what}: {$item->why}", $items),
            after: [Fact::GATHERED], needs: ['hands'],
            because: [new Reason('Worked out from this machine\'s sockets, the stick and the backup.', 'J5')],
        );
    }
}
