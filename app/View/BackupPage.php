<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Assessment\Backup\BackupFound;
use Cobblestone\Assessment\Backup\ManifestComparison;
use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Findings\Findings;
use Cobblestone\Runbook\PathFact;
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

        [$here, $there] = $this->isHomeward() ? ['the copy', 'on the machine now'] : ['the originals', 'in the copy'];

        return $one === null ? '' : self::number($one->source)." files in {$here}".
            ($one->rootSource ? " below {$one->rootSource}" : '').', '.
            self::number($one->copy)." {$there}".($one->rootCopy ? " below {$one->rootCopy}" : '').'; '.
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

    /** The stone that this comparison can lay now; null where it lays none. */
    public function opens(): ?Step
    {
        $step = $this->waiting();

        return $step !== null && $this->compared?->proves() === true && $this->progress->missing($step) === []
            ? $step
            : null;
    }

    /** Whether it is the way home that is compared next: the copy against what is on the machine again. */
    public function isHomeward(): bool
    {
        return $this->waiting()?->bringsAbout(PathFact::FILES_HOME) === true;
    }

    /** The first of the two stones that is still to be laid. */
    private function waiting(): ?Step
    {
        foreach ($this->progress->plan->steps as $step) {
            $compares = BackupEvidence::isProof($step) || $step->bringsAbout(PathFact::FILES_HOME);
            if ($compares && ! $this->progress->state($step)->isClosed()) {
                return $step;
            }
        }

        return null;
    }

    /** @return array<string, string> side => what it is called */
    public function sides(): array
    {
        return $this->isHomeward()
            ? ['source' => 'The copy', 'copy' => 'On the machine now']
            : ['source' => 'Originals', 'copy' => 'Copy'];
    }

    /** @return array<string, string> evidence that the comparison itself gives */
    public function given(): array
    {
        $one = $this->compared;

        return match (true) {
            $one === null => [],
            $this->isHomeward() => ['files_home' => (string) $one->proven, 'checksums_home' => 'equal'],
            default => [
                'files_source' => (string) $one->source,
                'files_copy' => (string) $one->proven,
                'checksums' => 'equal',
            ],
        };
    }

    /** @return list<EvidenceField> what is still to be written down beside it */
    public function fields(Step $step): array
    {
        $bytes = array_map(static fn (?int $one): string => (string) $one, $this->bytes ?? []);
        $typed = array_filter([
            'bytes_source' => $bytes['source'] ?? '',
            'bytes_copy' => $bytes['copy'] ?? '',
            'bytes_home' => $bytes['copy'] ?? '',
        ]);

        return array_values(array_filter(
            EvidenceField::of($step, $this->progress, $typed),
            fn (EvidenceField $one): bool => ! isset($this->given()[$one->wanted->id]),
        ));
    }

    /** "Something is kept"; null where the path was computed without a backup. */
    public function keeps(): ?string
    {
        $backup = $this->found();

        return $backup === null ? null : self::KEEP[$backup->keep] ?? 'Not asked yet';
    }

    /** How much, where to, how long; empty while nobody has measured. */
    public function measured(): string
    {
        $backup = $this->found();
        if ($backup?->need === null) {
            return '';
        }

        return SizeWords::short($backup->bytes->count ?? 0).' to copy, '.SizeWords::short($backup->need->count).
            " with the margin, to {$backup->destination}; about ".
            round($backup->time?->likely->inMinutes() ?? 0).' min.';
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
