<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Handover\EvidenceWords;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceKind;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;

/**
 * What was written down at a laid stone and what came of comparing it, or what will be asked for at one that is
 * ahead.
 */
final readonly class WrittenEvidence
{
    private function __construct(public string $words, public string $found, public string $accepted)
    {
    }

    /** Whether somebody still has to look at it. */
    public function isOpen(): bool
    {
        return $this->found === 'not read' || str_starts_with($this->found, 'differs');
    }

    /** @return list<self> empty while the stone itself asks */
    public static function at(Step $step, Progress $progress): array
    {
        $entry = $progress->laidBy($step->id);
        if ($entry === null) {
            return array_map(
                static fn (Evidence $wanted): self => new self($wanted->label, $wanted->hint ?? '', ''),
                $step->evidence,
            );
        }
        // What a proven stick said when it laid its stone.
        $lines = $entry->said('text') === '' ? [] : [new self($entry->said('text'), '', '')];
        foreach ($step->evidence as $wanted) {
            $value = $progress->evidence()[$step->id][$wanted->id] ?? '';
            $finding = $entry->data['findings'][$wanted->id] ?? [];
            $verdict = (string) ($finding['verdict'] ?? '');
            if ($value === '' && $verdict === '') {
                continue;
            }
            $lines[] = new self(
                $value === ''
                    ? $wanted->label
                    : EvidenceWords::of(
                        $wanted,
                        $wanted->kind === EvidenceKind::Serial ? Confirmation::mask($value) : $value,
                    ),
                match ($verdict) {
                    'equal', 'within' => $verdict,
                    'differs' => 'differs: '.($finding['words'] ?? ''),
                    'not-read' => 'not read',
                    default => '',
                },
                (string) ($entry->data['overruled'][$wanted->id] ?? ''),
            );
        }

        return $lines;
    }
}
