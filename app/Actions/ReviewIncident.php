<?php

declare(strict_types=1);

namespace App\Actions;

use App\Bridge\BenchClock;
use App\Bridge\Incident;
use App\Bridge\Incidents;
use App\Catalogue\CatalogueStore;
use App\Documents\SchemaCheck;
use App\Documents\Schemas;
use App\Models\BenchEvent;
use App\Models\CatalogueEntry;
use App\Models\Job;
use App\Models\User;
use Cobblestone\Catalogue\Symptom;
use Cobblestone\Catalogue\SymptomCause;
use Cobblestone\Catalogue\SymptomFrom;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** The lead looks at what ended a problem: into the index of symptoms, or let go (rules J6, L1). */
final class ReviewIncident
{
    private const KIND = 'issues';

    public function __construct(
        private readonly CatalogueStore $store,
        private readonly Incidents $incidents,
        private readonly LearnFromIncident $learn,
    ) {
    }

    public function letGo(int $entry, User $lead): void
    {
        $incident = $this->incident($entry);
        BenchEvent::note(Incidents::REVIEWED, (string) $incident->entry, ['decision' => 'let-go'], $lead->id);
    }

    /** @param  string  $seen  what was seen, as the lead words it; the index keeps its own name where it has one */
    public function take(int $entry, User $lead, string $seen, SymptomCause $cause): void
    {
        DB::transaction(function () use ($entry, $lead, $seen, $cause): void {
            $incident = $this->incident($entry);
            $day = BenchClock::day();
            $id = $incident->symptom ?? SymptomFrom::id($seen);
            $held = self::held($id);
            $document = $held === null
                ? SymptomFrom::told($seen, $cause, $incident->step, $day, sprintf(
                    'the bench\'s own logbook, job %04d',
                    $incident->job,
                ))
                : SymptomFrom::withCause($held->document, $cause, $incident->step, $day);
            $this->keep($held, $document);
            $this->learn->handle(
                Job::query()->findOrFail($incident->job),
                $lead,
                Symptom::fromArray($document),
                $cause,
            );
            BenchEvent::note(Incidents::REVIEWED, (string) $incident->entry, [
                'decision' => 'taken',
                'symptom' => $id,
            ], $lead->id);
        });
    }

    /** The cause that helps here is looked for first. */
    public function first(string $symptom, string $cause, User $lead): void
    {
        DB::transaction(function () use ($symptom, $cause, $lead): void {
            $held = self::held($symptom);
            $causes = array_column((array) ($held->document['causes'] ?? []), 'cause');
            if ($held === null || ! in_array($cause, $causes, true)) {
                abort(404, 'The index holds no such cause of it any more.');
            }
            $this->keep($held, SymptomFrom::likeliestFirst($held->document, $cause, BenchClock::day()));
            BenchEvent::note('symptom-first', $symptom, ['because' => $cause], $lead->id);
        });
    }

    private function incident(int $entry): Incident
    {
        return $this->incidents->told($entry)[0] ??
            abort(404, 'Somebody has decided about it already, or its contents were removed.');
    }

    private static function held(string $id): ?CatalogueEntry
    {
        $of = CatalogueEntry::query()->where('kind', self::KIND)->where('slug', $id);
        $of->getQuery()->lockForUpdate();

        return $of->first();
    }

    /** @param  array<string, mixed>  $document */
    private function keep(?CatalogueEntry $held, array $document): void
    {
        $faults = SchemaCheck::faults($document, Schemas::ofCatalogue(self::KIND));
        if ($faults !== []) {
            throw ValidationException::withMessages(['cause' => "The index does not take this: {$faults[0]}"]);
        }
        if ($held === null) {
            $this->store->add(self::KIND, $document);
        } else {
            $this->store->askAnew();
            $held->update(['document' => $document]);
        }
    }
}
