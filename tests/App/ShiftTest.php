<?php

use App\Models\BenchEvent;

beforeEach(function () {
    jobAtHand($this, 'evening', ['before_clock' => '1']);
    ($this->open)('fairlead-13');
    $this->lay = fn (string $step, string $action, array $data = []) => ($this->send)("steps/{$step}/{$action}", $data)
        ->assertSessionHasNoErrors();
    $this->note = fn (string $words, ?int $since = null) => $this->post(
        '/shift',
        ['words' => $words, 'since' => $since],
    );
});

it('tells what was done since the last note, and how each job stands', function () {
    ($this->lay)('intake.take-in', 'done', ['evidence' => ['condition' => 'fine', 'accessories' => 'nothing']]);
    ($this->lay)('identify.look', 'problem', ['text' => 'label is gone']);
    $this->get('/shift')->assertOk()
        ->assertSee('the last sixteen hours')
        ->assertSeeInOrder([
            sprintf('%04d', $this->job->id), 'Take in', 'Look at the label: label is gone', 'in trouble at',
        ]);
    ($this->note)('the ferry brings a charger')->assertRedirectContains('/shift/');
    $first = BenchEvent::query()->where('kind', 'shift-note')->firstOrFail();
    $this->get("/shift/{$first->id}")->assertOk()
        ->assertSee('the ferry brings a charger')->assertSee('evening technician')->assertSee('label is gone');

    ($this->lay)('identify.look', 'retry', ['cause' => 'it was under the battery', 'fix' => 'took it out']);
    $this->get('/shift')->assertSee('since ')->assertDontSee('Take in')
        ->assertSee('it was: it was under the battery; what helped: took it out')->assertDontSee('in trouble');
    // The note of then says what it said.
    $this->travel(3)->days();
    $this->get("/shift/{$first->id}")->assertSee('in trouble at')->assertSee('label is gone')
        ->assertDontSee('under the battery');
});

it('keeps one note of one shift, and the words of whoever came second', function () {
    ($this->note)('first');
    $first = BenchEvent::query()->where('kind', 'shift-note')->firstOrFail();
    $this->from('/shift')->post('/shift', ['words' => 'second'])
        ->assertRedirect('/shift')->assertSessionHasErrors('words');
    $this->get('/shift')->assertSee('Meanwhile another note was written')->assertSee('second');
    ($this->note)('second', $first->id)->assertSessionHasNoErrors();
    expect(BenchEvent::query()->where('kind', 'shift-note')->count())->toBe(2);
    $this->get('/shift')->assertSee('Earlier notes')->assertSee('nothing laid, and no problem, in this shift');
    ($this->note)(str_repeat('x', 2001), BenchEvent::query()->max('id'))->assertSessionHasErrors('words');
});

it('is for those who work to write, for all to read, and of nothing else', function () {
    ($this->note)('<b>read me</b>');
    $note = BenchEvent::query()->where('kind', 'shift-note')->firstOrFail();
    $this->actingAs($this->people['viewer']);
    $this->get('/shift')->assertOk()->assertDontSee('Keep this note');
    $this->get("/shift/{$note->id}")->assertOk()->assertSee('&lt;b&gt;read me', false);
    $this->post('/shift', ['words' => 'x'])->assertForbidden();
    $other = BenchEvent::note('deaths-seen', null, [], null);
    $this->get("/shift/{$other->id}")->assertNotFound();
    $this->get('/shift/999999999999999999')->assertNotFound();
});

it('says what was done on a job that was handed over meanwhile, and nothing that was removed', function () {
    ($this->lay)('intake.take-in', 'problem', ['text' => 'a name nobody should keep']);
    ($this->note)('');
    $note = BenchEvent::query()->where('kind', 'shift-note')->firstOrFail();
    $this->get("/shift/{$note->id}")->assertSee('a name nobody should keep');
    $entry = App\Models\LogRecord::query()->where('kind', 'problem')->firstOrFail();
    Illuminate\Support\Facades\DB::select('select remove_contents(?, ?)', ['log_entries', $entry->id]);
    $this->get("/shift/{$note->id}")->assertOk()->assertDontSee('a name nobody should keep')->assertSee('Take in');
    expect(json_encode($note->data))->not->toContain('a name nobody');
});
