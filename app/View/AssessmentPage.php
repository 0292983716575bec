<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Assessment\Dependence;
use Cobblestone\Assessment\Encryption\TriggerFound;
use Cobblestone\Assessment\Health\DriveHealth;
use Cobblestone\Assessment\KnownFound;
use Cobblestone\Assessment\Memory\MemoryFound;
use Cobblestone\Assessment\Requirement;
use Cobblestone\Assessment\SupportEnd;
use Cobblestone\Findings\Findings;
use Cobblestone\Findings\SocketStage;
use Cobblestone\Findings\SocketUse;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Text\Lowered;

/** What was assessed before anything is done: which way, whether it fits, drives, encryption, backup, memory. */
final readonly class AssessmentPage
{
    private Findings $found;

    public function __construct(public Plan $plan)
    {
        $this->found = Findings::of($plan);
    }

    public function hasLadder(): bool
    {
        return $this->found->route !== null;
    }

    /** "Which way: startup repair" */
    public function way(): string
    {
        return 'Which way: '.
            Lowered::of($this->plan->decision('assess.route')->chosen ?? 'none can work as things stand');
    }

    public function isProvisional(): bool
    {
        return $this->found->route?->provisional === true;
    }

    /** The question whose answer would change the way most; empty where there is none. */
    public function settles(): string
    {
        $question = $this->found->route?->settles;

        return $question === null ? '' : "The answer to “{$question->text}” would change this most.";
    }

    /** @return list<array<string, mixed>> rungs down to the one that is recommended */
    public function gentler(): array
    {
        return array_slice($this->ladder(), 0, $this->upTo() + 1);
    }

    /** @return list<array<string, mixed>> the rungs below it */
    public function harsher(): array
    {
        return array_slice($this->ladder(), $this->upTo() + 1);
    }

    /** @return list<KnownFound> what does not work on this model with this system */
    public function known(): array
    {
        return $this->found->known;
    }

    public function gentlerWays(): ?GentlerPanel
    {
        return GentlerPanel::of($this->plan);
    }

    /** "Does Tansy Desktop 7 fit: it does"; null where there is nothing to hold against it. */
    public function fits(): ?string
    {
        $title = $this->found->requirements?->title;

        return $title === null || $this->needs() === [] ? null : "Does {$this->plan->job->system} fit: {$title}";
    }

    /** @return list<array{title: string, needs: string, has: string, verdict: string, class: string, note: string}> */
    public function needs(): array
    {
        return array_map(static function (Requirement $row): array {
            $bypassable = $row->verdict === Requirement::SHORT && $row->bypassable;
            $ceiling = str_ends_with($row->id, '_ceiling');

            return [
                'title' => $row->title,
                'needs' => $row->needs,
                'has' => $row->has,
                'verdict' => $row->verdict,
                'class' => str_replace(' ', '-', $row->verdict),
                'note' => $row->note.($bypassable && ! $ceiling ? ' Can be bypassed by policy.' : ''),
            ];
        }, $this->found->requirements->rows ?? []);
    }

    /** @return list<array{grade: string, title: string, drive: string, facts: list<string>, read: string}> */
    public function drives(): array
    {
        return array_map(static fn (DriveHealth $drive): array => [
            'grade' => $drive->grade->value,
            'title' => $drive->grade->title(),
            'drive' => "{$drive->model}, ".Confirmation::mask($drive->serial),
            'facts' => $drive->facts,
            'read' => "{$drive->readings} ".($drive->readings === 1 ? 'reading' : 'readings').
                ($drive->at === null ? '' : ', newest '.Words::moment($drive->at)),
        ], $this->found->health);
    }

    /** Heading of the encryption; null where nothing was assessed. */
    public function encryption(): ?string
    {
        $title = $this->found->encryption?->protection->title();

        return $title === null ? null : "Drive encryption: {$title}";
    }

    /** @return list<string> what this job does, and whether the drive would ask for its key then */
    public function triggers(): array
    {
        return array_map(
            static fn (TriggerFound $one): string => ucfirst($one->what).': '.
                ($one->asks ? 'would ask for the key' : 'does not matter to it'),
            $this->found->encryption->triggers ?? [],
        );
    }

    /** @return list<string> */
    public function atThePrompt(): array
    {
        return $this->found->encryption->atThePrompt ?? [];
    }

    public function hasBackup(): bool
    {
        return $this->found->backup !== null;
    }

    /** What is not copied; empty where all is. */
    public function notCovered(): string
    {
        return implode('; ', $this->found->backup->notCovered ?? []);
    }

    public function memory(): ?MemoryFound
    {
        return $this->found->memory;
    }

    /**
     * @return list<array{class: string, lead: string, words: string}> ends of support, and what the owner depends on
     */
    public function support(): array
    {
        $ends = array_map(static fn (SupportEnd $end): array => [
            'class' => ($end->days ?? 1) < 0 ? 'wrong' : '',
            'lead' => '',
            'words' => $end->sentence,
        ], $this->found->support);
        $gaps = array_map(static fn (Dependence $gap): array => [
            'class' => '',
            'lead' => "{$gap->what}:",
            'words' => "{$gap->standing}. {$gap->why}",
        ], $this->found->depends);

        return [...$ends, ...$gaps];
    }

    /** @return list<array{stage: string, uses: list<string>, class: string, note: string}> sockets, stage by stage */
    public function sockets(): array
    {
        return array_map(static function (SocketStage $stage): array {
            $charges = match ($stage->charges) {
                true => 'it charges',
                false => 'it does not charge',
                null => '',
            };

            return [
                'stage' => $stage->stage,
                'uses' => array_map(static fn (SocketUse $use): string => "{$use->what} → {$use->port}", $stage->uses),
                'class' => $stage->charges === false ? 'hands' : 'fine',
                'note' => implode(': ', array_filter([$charges, $stage->note])),
            ];
        }, $this->found->ports);
    }

    public function decided(string $id): ?Decision
    {
        return $this->plan->decision($id);
    }

    /** @return list<array<string, mixed>> */
    private function ladder(): array
    {
        return array_map(RungRow::of(...), $this->found->route->ladder ?? []);
    }

    private function upTo(): int
    {
        $at = array_search('recommended', array_column($this->ladder(), 'standing'), true);

        return $at === false ? count($this->ladder()) - 1 : (int) $at;
    }
}
