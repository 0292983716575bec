<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Assessment\BackupPlan;
use Cobblestone\Assessment\Route\GentlerWays;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Text\Lowered;

/** The owner's word, in their terms: what is lost, what is not copied, what they will miss (rules J9, A14). */
final class OwnersWord
{
    /**
     * @param  BackupPlan|null  $backup  null where this kind of job copies nothing
     * @param  list<string>  $gaps  what the owner will miss on the new system
     * @param  GentlerWays|null  $gentler  null where nothing is gentler than this job
     */
    public static function step(
        OwnersLoss $loss,
        string $owner,
        ?BackupPlan $backup,
        array $gaps = [],
        ?GentlerWays $gentler = null,
    ): Step {
        $fate = $loss->fate;
        $nothing = $backup?->found->keep === 'nothing';
        $copies = $backup !== null && $backup->copies();
        $notCopied = $copies ? $backup->notCoveredAtAll() : [];
        $asks = self::rows($fate, $nothing, $copies);

        return new Step(
            'protect.owner-word',
            Stage::Protect,
            'The owner\'s word',
            Presence::Hands,
            Estimate::minutes(1, 3, 10),
            [
                self::told($loss, $owner, $copies),
                ...$asks,
                ...$notCopied === [] ? [] : ['Say aloud what is not copied: '.implode('; ', $notCopied).'.'],
                ...self::gentler($gentler),
                ...$gaps === [] ? [] : ['Say aloud what they will miss: '.implode('; ', $gaps).'.'],
            ],
            before: [PathFact::TAKEN_IN],
            after: $nothing || $fate === DriveFate::Empty
                ? [PathFact::OWNER_AGREED, PathFact::BACKUP_SETTLED]
                : [PathFact::OWNER_AGREED],
            needs: ['hands'],
            done: self::doneWords($fate, $nothing, $gentler?->tried() ?? []),
            because: self::because($fate),
            evidence: self::evidence(),
        );
    }

    /**
     * @return list<string>
     */
    private static function rows(DriveFate $fate, bool $nothing, bool $copies): array
    {
        return match (true) {
            $fate === DriveFate::Empty => [],
            $nothing => ['Have them say in writing that nothing has to be kept.'],
            $copies => ['Go through the folders that are copied.'],
            default => [],
        };
    }

    /** @return list<string> */
    private static function gentler(?GentlerWays $ways): array
    {
        $untried = $ways?->untried() ?? [];

        return $untried === [] ? [] : ['Say aloud what is gentler and was not tried: '.implode('; ', $untried).'.'];
    }

    /** @param  list<string>  $tried  gentler ways that did not help */
    private static function doneWords(DriveFate $fate, bool $nothing, array $tried): DoneWords
    {
        return DoneWords::of(
            match (true) {
                $fate->loses() && $nothing => 'You agreed that nothing had to be kept',
                $fate->loses() => 'You agreed to what would be lost',
                default => 'You were told what would be done',
            }.($tried === [] ? '' : '; tried before, without success: '.Lowered::of(implode(', ', $tried))),
            'agreed_by',
            'promised',
        );
    }

    /**
     * @return list<Reason>
     */
    private static function because(DriveFate $fate): array
    {
        return [
            new Reason(
                $fate->loses()
                    ? 'A drive is erased only after its owner has agreed, and the record says who, when and how.'
                    : 'What was promised is on record: who agreed, when and how.',
                'J9',
            ),
        ];
    }

    /**
     * @return list<Evidence>
     */
    private static function evidence(): array
    {
        return [
            new Evidence('agreed_by', 'Who agreed', EvidenceKind::Person),
            new Evidence('promised', 'What was promised', 'text', hint: 'in their words'),
            new Evidence('agreed_how', 'How', 'choice', [
                'in-writing' => 'in writing',
                'in-person' => 'in person',
                'by-phone' => 'by phone',
            ]),
        ];
    }

    private static function told(OwnersLoss $loss, string $owner, bool $copies): string
    {
        $drive = $loss->drive;
        $on = $drive === null || $drive->partitions === [] ? 'the drive' : $drive->title();

        return match ($loss->fate) {
            DriveFate::PartlyErased => self::partly($loss, $owner),
            DriveFate::Stays => "Tell {$owner} what is done and what could go wrong; files and programs are meant "
                .'to stay.',
            DriveFate::Empty => "Tell {$owner} what is done. Nothing of theirs is on the drive.",
            DriveFate::ComesOut => "Tell {$owner} that the old drive comes out and is not erased; programs, "
                .'settings and sign-ins have to be set up anew.',
            DriveFate::Erased => "Tell {$owner}: lost is everything on {$on}".
                ($copies
                    ? ' that is not copied before: programs, settings, sign-ins, and files outside the agreed folders.'
                    : ': programs, settings, sign-ins and files.'),
        };
    }

    private static function partly(OwnersLoss $loss, string $owner): string
    {
        $stays = 'Meant to stay: '.implode(', ', $loss->kept()).'. Nobody can promise that: one wrong pick deletes it.';

        return $loss->deleted() === []
            ? "Tell {$owner}: nothing is deleted; the new system goes into the free room. {$stays}"
            : "Tell {$owner}: lost is all of ".implode(', ', $loss->deleted()).". {$stays}";
    }
}
