<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Assessment\Requirement;
use Cobblestone\Catalogue\HealthGrade;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;

/** What was assessed before anything is done: which way, whether it fits, drives, encryption, backup, memory. */
final readonly class AssessmentPage
{
    private const STANDING = [
        'recommended' => 'this one',
        'out' => 'out',
        'possible' => 'possible',
        'harsher' => 'harsher',
    ];

    public function __construct(public Plan $plan)
    {
    }

    public function hasLadder(): bool
    {
        return isset($this->plan->assessment['route']);
    }

    /** "Which way: startup repair" */
    public function way(): string
    {
        return 'Which way: '.
            lcfirst($this->plan->decision('assess.route')->chosen ?? 'none can work as things stand');
    }

    public function isProvisional(): bool
    {
        return $this->plan->assessment['route']['provisional'];
    }

    /** The question whose answer would change the way most; empty where there is none. */
    public function settles(): string
    {
        $question = $this->plan->assessment['route']['settles'];

        return $question === null ? '' : "The answer to “{$question['text']}” would change this most.";
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

    /** "Does Tansy Desktop 7 fit: it does"; null where there is nothing to hold against it. */
    public function fits(): ?string
    {
        $title = $this->plan->assessment['requirements']['title'] ?? null;

        return $title === null || $this->needs() === [] ? null : "Does {$this->plan->job->system} fit: {$title}";
    }

    /** @return list<array{title: string, needs: string, has: string, verdict: string, class: string, note: string}> */
    public function needs(): array
    {
        return array_values(array_map(static function (array $row): array {
            $bypassable = $row['verdict'] === Requirement::SHORT && $row['bypassable'];
            $ceiling = str_ends_with($row['id'], '_ceiling');

            return [
                'title' => $row['title'],
                'needs' => $row['needs'],
                'has' => $row['has'],
                'verdict' => $row['verdict'],
                'class' => str_replace(' ', '-', $row['verdict']),
                'note' => $row['note'].($bypassable && ! $ceiling ? ' Can be bypassed by policy.' : ''),
            ];
        }, $this->plan->assessment['requirements']['rows'] ?? []));
    }

    /** @return list<array{grade: string, title: string, drive: string, facts: list<string>, read: string}> */
    public function drives(): array
    {
        return array_values(array_map(static function (array $drive): array {
            $many = $drive['readings'] === 1 ? 'reading' : 'readings';

            return [
                'grade' => $drive['grade'],
                'title' => HealthGrade::from($drive['grade'])->title(),
                'drive' => "{$drive['model']}, ".Confirmation::mask($drive['serial']),
                'facts' => $drive['facts'],
                'read' => "{$drive['readings']} {$many}".
                    ($drive['at'] ? ', newest '.Words::moment($drive['at']) : ''),
            ];
        }, $this->plan->assessment['health'] ?? []));
    }

    /** Heading of the encryption; null where nothing was assessed. */
    public function encryption(): ?string
    {
        $title = $this->plan->assessment['encryption']['title'] ?? null;

        return $title === null ? null : "Drive encryption: {$title}";
    }

    /** @return list<string> what this job does, and whether the drive would ask for its key then */
    public function triggers(): array
    {
        return array_values(array_map(
            static fn (array $one): string => ucfirst($one['what']).': '.
                ($one['asks'] ? 'would ask for the key' : 'does not matter to it'),
            $this->plan->assessment['encryption']['triggers'] ?? [],
        ));
    }

    /** @return list<string> */
    public function atThePrompt(): array
    {
        return $this->plan->assessment['encryption']['at_the_prompt'] ?? [];
    }

    public function hasBackup(): bool
    {
        return isset($this->plan->assessment['backup']);
    }

    /** What is not copied; empty where all is. */
    public function notCovered(): string
    {
        return implode('; ', $this->plan->assessment['backup']['not_covered'] ?? []);
    }

    /** @return array{sentence: string, next: string}|null */
    public function memory(): ?array
    {
        $memory = $this->plan->assessment['memory'] ?? null;

        return $memory === null
            ? null
            : ['sentence' => $memory['sentence'], 'next' => $memory['next']['sentence'] ?? ''];
    }

    /** @return list<array{class: string, lead: string, words: string}> ends of support, and what the owner depends on */
    public function support(): array
    {
        $ends = array_map(static fn (array $end): array => [
            'class' => ($end['days'] ?? 1) < 0 ? 'wrong' : '',
            'lead' => '',
            'words' => $end['sentence'],
        ], $this->plan->assessment['support'] ?? []);
        $gaps = array_map(static fn (array $gap): array => [
            'class' => '',
            'lead' => "{$gap['what']}:",
            'words' => "{$gap['standing']}. {$gap['why']}",
        ], $this->plan->assessment['depends'] ?? []);

        return array_values([...$ends, ...$gaps]);
    }

    /** @return list<array{stage: string, uses: list<string>, class: string, note: string}> sockets, stage by stage */
    public function sockets(): array
    {
        return array_values(array_map(static function (array $stage): array {
            $charges = match ($stage['charges']) {
                true => 'it charges',
                false => 'it does not charge',
                default => '',
            };

            return [
                'stage' => $stage['stage'],
                'uses' => array_values(array_map(
                    static fn (array $use): string => "{$use['what']} → {$use['port']}",
                    $stage['uses'],
                )),
                'class' => $stage['charges'] === false ? 'hands' : 'fine',
                'note' => implode(': ', array_filter([$charges, $stage['note']])),
            ];
        }, $this->plan->assessment['ports'] ?? []));
    }

    public function decided(string $id): ?Decision
    {
        return $this->plan->decision($id);
    }

    /** @return list<array<string, mixed>> */
    private function ladder(): array
    {
        return array_values(array_map(static fn (array $rung): array => [
            'id' => $rung['id'],
            'title' => $rung['title'],
            'standing' => $rung['standing'],
            'says' => self::STANDING[$rung['standing']],
            'keeps' => $rung['keeps'] === [] ? 'keeps nothing' : 'keeps '.implode(', ', $rung['keeps']),
            'why' => implode(' ', $rung['why']),
            'triable' => in_array($rung['standing'], ['recommended', 'possible'], true),
        ], $this->plan->assessment['route']['ladder'] ?? []));
    }

    private function upTo(): int
    {
        $at = array_search('recommended', array_column($this->ladder(), 'standing'), true);

        return $at === false ? count($this->ladder()) - 1 : (int) $at;
    }
}
