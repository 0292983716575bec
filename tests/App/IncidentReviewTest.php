<?php

use App\Models\BenchEvent;
use App\Models\CatalogueEntry;
use App\Models\LogRecord;
use App\Models\StickEvent;

beforeEach(function () {
    jobAtHand($this, 'evening');
    ($this->open)('fairlead-13');
    $this->act = fn (string $action, array $data = []) => ($this->send)("steps/intake.take-in/{$action}", $data);
    $this->told = function (string $seen, string $cause, string $fix = ''): LogRecord {
        ($this->act)('problem', ['text' => $seen])->assertSessionHasNoErrors();
        ($this->act)('retry', ['cause' => $cause, 'fix' => $fix])->assertSessionHasNoErrors();

        return LogRecord::query()->where('kind', 'retry')->latest('id')->firstOrFail();
    };
    $this->as = fn (string $login) => $this->actingAs($this->people[$login]);
});

it('takes what somebody found into the index, and offers it at that stone from then on', function () {
    $entry = ($this->told)('Lid squeaks', 'A screw is loose.', 'Tighten it.');
    $this->get('/learned')->assertSee('Lid squeaks')->assertSee('A screw is loose.')->assertDontSee('Into the index');
    $this->post("/incidents/{$entry->id}", ['decision' => 'taken'])->assertForbidden();
    ($this->as)('lead');
    $this->get('/learned')->assertSee('Into the index')->assertSee('1 to look at')
        ->assertDontSee('Nothing waits for you');
    $this->post("/incidents/{$entry->id}", [
        'decision' => 'taken', 'seen' => 'Lid squeaks', 'cause' => 'A screw is loose.', 'fix' => 'Tighten it.',
    ])->assertRedirect('/learned#incidents');
    $held = CatalogueEntry::query()->where('slug', 'lid-squeaks')->firstOrFail();
    expect($held->kind)->toBe('issues')->and($held->document['steps'])->toBe(['intake.take-in'])
        ->and($held->document['source'])->toContain(sprintf('job %04d', $this->job->id));
    $this->get('/learned')->assertDontSee('Lid squeaks');
    $this->get("/jobs/{$this->job->id}/run?stone=intake.take-in")->assertSee('Lid squeaks');
    // What a lead does not say counts against nothing.
    expect($held->document['causes'])->toBe([['cause' => 'A screw is loose.', 'fix' => 'Tighten it.']])
        ->and(StickEvent::query()->where('kind', 'blamed')->count())->toBe(0);
    // A second one of the same words is another cause of it.
    $second = ($this->told)('Lid squeaks', 'Sand.', 'Brush it.');
    $this->post("/incidents/{$second->id}", [
        'decision' => 'taken', 'seen' => 'Lid squeaks', 'cause' => 'Sand.', 'fix' => 'Brush it.',
    ]);
    expect(array_column($held->refresh()->document['causes'], 'cause'))->toBe(['A screw is loose.', 'Sand.']);
    $this->post("/incidents/{$second->id}", ['decision' => 'let-go'])->assertNotFound();
});

it('wants a way out before it takes a cause, and keeps nothing of what is let go', function () {
    ($this->as)('lead');
    $entry = ($this->told)('Lid squeaks', 'Nobody knows.');
    $this->from('/learned')->post("/incidents/{$entry->id}", [
        'decision' => 'taken', 'seen' => 'Lid squeaks', 'cause' => 'Nobody knows.', 'fix' => '',
    ])->assertSessionHasErrors('fix');
    $typed = ['decision' => 'taken', 'entry' => (string) $entry->id, 'seen' => 'Lid squeaks <b>', 'cause' => 'Sand?',
        'fix' => '', 'blames' => 'stick'];
    $this->from('/learned')->followingRedirects()->post("/incidents/{$entry->id}", $typed)
        ->assertSee('value="Lid squeaks &lt;b&gt;"', false)
        ->assertSee('value="Sand?"', false)
        ->assertSee('value="stick" selected', false)
        ->assertSee('no way out');
    $this->post("/incidents/{$entry->id}", [...$typed, 'fix' => 'x', 'blames' => 'the weather'])
        ->assertSessionHasErrors('blames');
    $this->post("/incidents/{$entry->id}", ['decision' => 'let-go'])->assertRedirect('/learned#incidents');
    expect(CatalogueEntry::query()->where('slug', 'lid-squeaks')->exists())->toBeFalse()
        ->and(BenchEvent::query()->where('kind', 'incident-reviewed')->firstOrFail()->data['decision'])->toBe('let-go');
    $this->get('/learned')->assertDontSee('Lid squeaks');
    // One without a cause is no incident to look at; a note of another job is none either.
    ($this->act)('problem', ['text' => 'Hums']);
    ($this->act)('retry');
    $this->get('/learned')->assertDontSee('Hums');
    $note = LogRecord::query()->where('kind', 'problem')->latest('id')->firstOrFail();
    $this->post("/incidents/{$note->id}", ['decision' => 'let-go'])->assertNotFound();
    ($this->act)('problem', ['text' => 'Hums']);
    ($this->act)('retry', ['fix' => 'hit it'])->assertSessionHasErrors('cause');
});

it('counts against the stick of the job what the lead says it was', function () {
    ($this->as)('lead');
    $entry = ($this->told)('Copy stops at half', 'The stick drops out.', 'The spare stick.');
    $this->post("/incidents/{$entry->id}", ['decision' => 'taken', 'seen' => 'Copy stops at half',
        'cause' => 'The stick drops out.', 'fix' => 'The spare stick.', 'blames' => 'stick'])
        ->assertRedirect('/learned#incidents');
    expect(CatalogueEntry::query()->where('slug', 'copy-stops-at-half')->firstOrFail()->document['causes'])
        ->toBe([['cause' => 'The stick drops out.', 'fix' => 'The spare stick.', 'blames' => 'stick']])
        ->and(StickEvent::query()->where('kind', 'blamed')->sole()->data['message'])
        ->toBe("Job {$this->job->id}: Copy stops at half. The stick drops out.");
});

it('moves a fix that helped here to the front, and says how often it did', function () {
    $this->freezeTime();
    ($this->as)('lead');
    $entry = CatalogueEntry::query()->where('slug', 'install-loop')->firstOrFail();
    $entry->update(['document' => [...$entry->document, 'steps' => ['intake.']]]);
    $cause = array_column($entry->document['causes'], 'cause')[1];
    ($this->act)('seen', ['symptom' => 'install-loop'])->assertSessionHasNoErrors();
    ($this->act)('helped', ['cause' => $cause])->assertSessionHasNoErrors();
    $this->get('/learned')->assertSee('helped once, 0 min')->assertSee('as number 2')->assertSee('Look for it first');
    $this->post('/incidents/first', ['symptom' => 'install-loop', 'cause' => $cause])->assertRedirect();
    expect(array_column($entry->refresh()->document['causes'], 'cause')[0])->toBe($cause);
    $this->get('/learned')->assertSee('as number 1')->assertDontSee('Look for it first');
    $this->post('/incidents/first', ['symptom' => 'no-such', 'cause' => $cause])->assertNotFound();
    $this->post('/incidents/first', ['symptom' => 'install-loop', 'cause' => 'made up'])->assertNotFound();
    expect(BenchEvent::query()->where('kind', 'symptom-first')->count())->toBe(1);
    ($this->as)('evening');
    $this->post('/incidents/first', ['symptom' => 'install-loop', 'cause' => $cause])->assertForbidden();
});
