<?php

declare(strict_types=1);

namespace Cobblestone\Tuning;

use Cobblestone\Brief\Extra;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;

/**
 * What comes from elsewhere and is put onto the finished system: one stone each, with its source, its checksum and what
 * undoes it (rule A15). What cannot be undone, a changed build say, is no add-on.
 */
final class AddOns
{
    /** @param  list<Extra>  $extras */
    public static function plan(array $extras, string $school): Contribution
    {
        $stones = [];
        foreach ($school === 'off' ? [] : $extras as $extra) {
            if ($extra->undo !== '' && $extra->isRecorded()) {
                // Said twice, it is put on once.
                $stones[self::id($extra)] ??= self::stone($extra);
            }
        }

        return new Contribution(array_values($stones));
    }

    /** Of what it is and which file: another version of the same is another add-on. */
    private static function id(Extra $extra): string
    {
        return 'tune.add-on-'.substr(hash('sha256', "{$extra->what} {$extra->sha256}"), 0, 8);
    }

    private static function stone(Extra $extra): Step
    {
        return new Step(
            self::id($extra),
            Stage::Tune,
            "Add {$extra->what}",
            Presence::StayNear,
            Estimate::minutes(2, 5, 20),
            [
                "Fetch it from {$extra->source}. `sha256sum` must print `{$extra->sha256}`; else leave it.",
                'Put it on, restart where it asks for it, and see that it works.',
                "Undo it where it does not: {$extra->undo}",
            ],
            before: [PathFact::UPDATED, PathFact::EXTRAS_RECORDED],
            needs: ['hands', 'network'],
            done: DoneWords::of(
                "From elsewhere: {$extra->what}, from {$extra->source}. To undo it: {$extra->undo}",
                'add_on',
            ),
            acts: [Act::WriteSystem],
            because: [new Reason("Not of the publisher, and wanted: {$extra->reason}", 'A15', $extra->source)],
            cautions: ['Nobody can say what it does besides what it is said to do.'],
            evidence: [
                new Evidence(
                    'sha256',
                    'SHA-256 of what was fetched',
                    EvidenceKind::Text,
                    expected: new Expected($extra->sha256),
                    remedy: 'It is another file than the one that was agreed on: leave it, and fetch it again.',
                ),
                new Evidence(
                    'add_on',
                    'It works',
                    EvidenceKind::Choice,
                    ['works' => 'works', 'undone' => 'it did not, and was undone'],
                    expected: new Expected('works|undone'),
                ),
            ],
        );
    }
}
