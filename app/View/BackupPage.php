<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Assessment\Backup\ManifestComparison;
use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Findings\BackupFound;
use Cobblestone\Findings\Findings;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\Step;

/** A backup: what is to be copied, and both sides compared file by file. */
final readonly class BackupPage
{
    /** Paths of one kind that are listed; the others are counted. */
    private const LISTED = 200;

    private const KEEP = [
        'some' => 'Something is kept',
        'nothing' => 'Nothing is kept',
        'blank' => 'The drive is blank',
    ];

    /**
     * @param  list<string>  $notes  what was left out while reading
     * @param  array<string, int|null>|null  $bytes  source and copy; null where a list names none
     * @param  array<string, string>  $typed  source and copy as they were pasted
     */
    public function __construct(
        private Progress $progress,
        public ?ManifestComparison $compared = null,
        public array $notes = [],
        public ?array $bytes = null,
        public array $typed = [],
    ) {
    }

    public function counts(): string
    {
        $one = $this->compared;

        return $one === null ? '' : self::number($one->source).' files in the originals'.
            ($one->rootSource ? " below {$one->rootSource}" : '').', '.
            self::number($one->copy).' in the copy'.($one->rootCopy ? " below {$one->rootCopy}" : '').'; '.
            self::number($one->proven).' with equal checksums.';
    }

    /** @return list<array{title: string, paths: list<string>, more: string}> what differs, by kind */
    public function differences(): array
    {
        $one = $this->compared;
        $kinds = $one === null ? [] : [
            ['Missing in the copy', $one->missing, $one->missingCount],
            ['Differ', $one->differing, $one->differingCount],
            ['Only in the copy', $one->besides, $one->besidesCount],
        ];
        $said = array_filter($kinds, static fn (array $kind): bool => $kind[1] !== []);

        return array_values(array_map(static fn (array $kind): array => [
            'title' => "{$kind[0]}: ".self::number($kind[2]),
            'paths' => array_slice($kind[1], 0, self::LISTED),
            'more' => $kind[2] > self::LISTED ? 'and '.self::number($kind[2] - self::LISTED).' more' : '',
        ], $said));
    }

    /** The stone whose gate this comparison can open now; null where it opens none. */
    public function opens(): ?Step
    {
        $step = $this->progress->plan->step(BackupEvidence::STEP);

        return $this->compared?->proves() === true &&
            $step !== null &&
            ! $this->progress->state($step)->isClosed() &&
            $this->progress->missing($step) === []
            ? $step
            : null;
    }

    /** "Something is kept"; null where the path was computed without a backup. */
    public function keeps(): ?string
    {
        $backup = $this->found();

        return $backup === null ? null : self::KEEP[$backup->keep ?? ''] ?? 'Not asked yet';
    }

    /** How much, where to, how long; empty while nobody has measured. */
    public function measured(): string
    {
        $backup = $this->found();
        if ($backup?->needBytes === null) {
            return '';
        }

        return SizeWords::short($backup->bytes ?? 0).' to copy, '.SizeWords::short($backup->needBytes).
            " with the margin, to {$backup->destination}; about ".round($backup->likelyMinutes ?? 0).' min.';
    }

    public function covered(): string
    {
        return implode(', ', $this->found()->folders ?? []);
    }

    public function notCovered(): string
    {
        return implode('; ', $this->found()->notCovered ?? []);
    }

    private function found(): ?BackupFound
    {
        return Findings::of($this->progress->plan)->backup;
    }

    private static function number(int $number): string
    {
        return number_format($number, 0, '.', ' ');
    }
}
