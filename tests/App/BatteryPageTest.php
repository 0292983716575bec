<?php

use App\Models\DrainRecord;
use App\Models\LogRecord;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    $this->job = $this->jobFrom('pocket-lantern', $this->people['evening']);
    $this->drain = fn (mixed $limit, mixed $wh, mixed $minutes) => $this->post("/jobs/{$this->job->id}/battery", [
        'limit_w' => $limit, 'watt_hours' => $wh, 'minutes' => $minutes,
    ]);
    $this->page = fn (string $query = '') => $this->get("/jobs/{$this->job->id}/battery{$query}")->assertOk();
});

it('says what is missing before anybody has drained it', function () {
    ($this->page)()->assertSee('40.0 Wh as new, 94 % of that left')
        ->assertSee('Nobody has seen yet what it draws')
        ->assertDontSee('class="curve"', false);
    ($this->page)('?base=5&wh=40&health=100&charge=100&reserve=0')
        ->assertSee('class="curve"', false)->assertSee('the first as you said');
    ($this->page)('?wh=&base=5')->assertSee('say its watt-hours as new');
});

it('learns from what was drained, and tells hours and the limit for some', function () {
    // 13 W at 10, 21 W at 20: 5 W and 0.8 of the limit. 40 Wh, all of it.
    ($this->drain)('10', '6,5', '30')->assertSessionHasNoErrors();
    ($this->page)()->assertSee('learned from one drain, at one limit only');
    ($this->drain)('20', '10.5', '30')->assertSessionHasNoErrors();
    ($this->page)('?wh=40&health=100&charge=100&reserve=0&hours=2,5')
        ->assertSee('5.0 W whatever the limit is, and 80 % of the limit: learned from 2 drains.')
        ->assertSee('40.0 Wh of it can be used')
        // 40 / 2.5 = 16 W, less 5, over 0.8.
        ->assertSee('2 h 30 at a limit of 13.8 W at most.')
        // From 5 W, the least that this model can be set to, to its ceiling.
        ->assertSeeInOrder(['5 W', '9.0 W', '4 h 27', '15 W', '17.0 W'])->assertDontSee('17 W')
        ->assertSee('class="asked"', false);
    ($this->page)('?hours=40')->assertSee('No limit gives 40 h 00');
    $first = DrainRecord::query()->orderBy('id')->firstOrFail();
    $this->post("/jobs/{$this->job->id}/battery/{$first->id}/drop")->assertRedirect();
    expect(DrainRecord::query()->sole()->limit_w)->toBe(20.0)
        ->and(LogRecord::query()->where('kind', 'tuning')->orderBy('id')->get()->pluck('data.text')->all())->toBe([
            'drained 6.5 Wh in 30 min at a limit of 10 W',
            'drained 10.5 Wh in 30 min at a limit of 20 W',
            'taken out: 6.5 Wh in 30 min at a limit of 10.0 W',
        ]);
});

it('agrees on a limit for every day, which is then read on the finished machine', function () {
    ($this->drain)('10', '6.5', '30');
    ($this->drain)('20', '10.5', '30');
    $full = '?wh=40&health=100&charge=100&reserve=0&hours=';
    ($this->page)("{$full}3")->assertSee('value="10"', false)->assertSee('from 5 to 15 W');
    ($this->page)("{$full}2")
        ->assertSee('2 h 00 at any limit: 15 W is this model', false)
        ->assertSee('value="15"', false);
    ($this->page)("{$full}6")->assertSee('No limit of this model gives 6 h 00');
    $agree = fn (mixed $watts) => $this->post("/jobs/{$this->job->id}/battery/everyday", [
        'seen' => $this->job->refresh()->last_entry, 'everyday' => $watts,
    ]);
    foreach (['4', '16', '9.5', 'much', '-1'] as $wrong) {
        $agree($wrong)->assertSessionHasErrors(['everyday' => 'Whole watts from 5 to 15, or nothing.']);
    }
    $row = fn () => array_column(array_map(
        static fn ($one): array => [$one->id, $one->expected?->value],
        $this->job->refresh()->currentPlan()->typed()->step('proof.readings')->evidence ?? [],
    ), 1, 0)['power_limit'] ?? null;
    $agree('10')->assertSessionHasNoErrors();
    expect($row())->toBe('10');
    ($this->page)()->assertSee('value="10"', false)->assertSee('Change it');
    $agree('')->assertSessionHasNoErrors();
    expect($row())->toBeNull();
    $this->actingAs($this->people['viewer']);
    ($this->page)()->assertDontSee('For every day');
    $agree('10')->assertForbidden();
});

it('takes drains of the same serial from another job, and takes none of them out here', function () {
    $other = $this->jobFrom('pocket-lantern', $this->people['evening']);
    $this->job->update(['machine_serial' => 'PL-1']);
    $other->update(['machine_serial' => 'PL-1']);
    $record = DrainRecord::query()->create([
        'job_id' => $other->id, 'user_id' => $this->people['evening']->id, 'limit_w' => 10, 'watt_hours' => 6.5,
        'minutes' => 30,
    ]);
    ($this->page)()->assertSee('in another job of this serial')->assertDontSee('Take out');
    $this->post("/jobs/{$this->job->id}/battery/{$record->id}/drop");
    expect(DrainRecord::query()->count())->toBe(1);
    $other->update(['machine_serial' => 'PL-2']);
    ($this->page)()->assertDontSee('in another job');
});

it('says what is wrong, keeps what was typed, and takes nothing in', function (array $typed, string $field) {
    $from = "/jobs/{$this->job->id}/battery";
    $this->from($from)->followingRedirects()->post($from, ['limit_w' => '10', 'watt_hours' => '6', 'minutes' => '30',
        ...$typed])->assertSee("wrong-{$field}", false)->assertSee($typed[$field] === '' ? 'Limit, W' : $typed[$field]);
    expect(DrainRecord::query()->count())->toBe(0);
})->with([
    [['limit_w' => '0'], 'limit_w'], [['limit_w' => 'ten'], 'limit_w'], [['watt_hours' => ''], 'watt_hours'],
    [['minutes' => '4'], 'minutes'], [['minutes' => '1e9'], 'minutes'],
]);

it('says what is wrong with what was asked', function (string $query, string $says) {
    ($this->drain)(10, 6.5, 30);
    ($this->page)($query)->assertSee($says)->assertDontSee('class="curve"', false);
})->with([
    ['?wh=lots', 'Watt-hours: a number is wanted, 1000 at most.'],
    ['?health=120', 'The health is a part of the whole'],
    ['?charge=40&reserve=50', 'a reserve below the charge limit'],
    ['?wh=1e300', 'Watt-hours: a number is wanted, 1000 at most.'],
    ['?hours=-1', 'The hours wanted are above 0.'],
    ['?hours=%3Cb%3E', 'The hours wanted: a number is wanted, 1000 at most.'],
    ['?wh=', 'say its watt-hours as new'],
]);

it('is for who works alone, and closed with the job', function () {
    ($this->drain)(10, 6.5, 30);
    $this->job->update(['status' => 'closed']);
    ($this->page)()->assertSee('6.5 Wh in 30 min')->assertDontSee('Note a drain')->assertDontSee('Take out');
    ($this->drain)(10, 6.5, 30)->assertForbidden();
    $this->actingAs($this->people['viewer']);
    ($this->drain)(10, 6.5, 30)->assertForbidden();
});

it('asks nothing of a desktop that has no battery', function () {
    $desktop = $this->jobFrom('capstan-t3', $this->people['evening']);
    $this->get("/jobs/{$desktop->id}/battery")->assertOk()->assertSee('A desktop runs from the wall.');
});
