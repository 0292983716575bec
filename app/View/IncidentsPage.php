<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\Incident;
use App\Bridge\Incidents;
use Cobblestone\Catalogue\Blame;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\Symptom;

/** What went wrong here and what helped, for the lead to look at. */
final readonly class IncidentsPage
{
    /**
     * @param  list<Incident>  $told
     * @param  list<array<string, string|bool>>  $fixes  symptom, cause, name, words; looked: at which place the index
     *     looks for it; later: whether others come before it
     */
    private function __construct(public array $told, public array $fixes)
    {
    }

    public static function now(Incidents $incidents, Catalogue $catalogue): self
    {
        $symptoms = [];
        foreach ($catalogue->symptoms() as $symptom) {
            $symptoms[$symptom->id] = $symptom;
        }
        $fixes = [];
        foreach ($incidents->fixes() as $row) {
            $of = $symptoms[$row->symptom] ?? null;
            $place = $of === null ? null : self::place($of, (string) $row->cause);
            $fixes[] = [
                'symptom' => (string) $row->symptom,
                'cause' => (string) $row->cause,
                'name' => $of === null ? (string) $row->symptom : $of->name,
                'words' => self::times((int) $row->many).", {$row->minutes} min until it helped",
                'looked' => $place === null ? 'not in the index any more' : "as number {$place}",
                'later' => $place !== null && $place > 1,
            ];
        }

        return new self($incidents->told(), $fixes);
    }

    /** What waits for the lead, with so many facts. */
    public function toLookAt(int $facts): int
    {
        return $facts + count($this->told);
    }

    public function isEmpty(): bool
    {
        return $this->told === [] && $this->fixes === [];
    }

    /** What stands in a field of an incident: what was typed, where it was not taken, else what was told. */
    public function typed(Incident $one, string $field): string
    {
        $told = ['seen' => $one->seen, 'cause' => $one->cause, 'fix' => $one->fix][$field] ?? '';
        $typed = old($field);

        return $this->wasSent($one) ? (is_string($typed) ? $typed : '') : $told;
    }

    /** Whether it is what was sent, and not taken. */
    public function wasSent(Incident $one): bool
    {
        return old('entry') === (string) $one->entry;
    }

    /** @return array<string, string> what a cause may count against => how it is called */
    public static function blames(): array
    {
        return array_column(
            array_map(static fn (Blame $one): array => [$one->value, $one->title()], Blame::cases()),
            1,
            0,
        );
    }

    private static function times(int $many): string
    {
        return match ($many) {
            1 => 'helped once',
            2 => 'helped twice',
            default => "helped {$many} times",
        };
    }

    /** At which place the index looks for it, from 1; null where it does not hold it. */
    private static function place(Symptom $symptom, string $cause): ?int
    {
        foreach ($symptom->causes as $i => $one) {
            if ($one->cause === $cause) {
                return $i + 1;
            }
        }

        return null;
    }
}
