<?php

use App\Models\FrameRecord;
use Illuminate\Http\UploadedFile;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    $this->job = $this->jobFrom('pocket-lantern', $this->people['evening']);
    $this->log = fn (float $ms, string $name = 'run.csv', int $frames = 600): UploadedFile => UploadedFile::fake()
        ->createWithContent($name, "frame_ms\n".implode("\n", array_map(
            fn (int $i): string => (string) round($ms * (1 + 0.02 * sin($i * 7.1)), 3),
            range(1, $frames),
        )));
    $this->count = fn (string $moment, array $logs, string $power = '15 W') => $this->post(
        "/jobs/{$this->job->id}/frames",
        ['moment' => $moment, 'picture' => 'high', 'power' => $power, 'files' => $logs],
    );
    $this->page = fn () => $this->get("/jobs/{$this->job->id}/frames")->assertOk();
});

it('counts frames before and after, compares and draws them', function () {
    ($this->page)()->assertSee('Nothing was counted yet')->assertDontSee('class="grain', false);
    ($this->count)('before', [($this->log)(20)])->assertSessionHasNoErrors();
    ($this->page)()->assertSee('50.0')->assertSee('600 frames in')->assertDontSee('What they say of each other');
    ($this->count)('after', [($this->log)(16)])->assertSessionHasNoErrors();
    ($this->page)()->assertSee('Faster by 25.0 %')->assertSee('class="grain after"', false)->assertSee('high · 15 W');
    expect(FrameRecord::query()->count())->toBe(2)
        ->and(App\Models\LogRecord::query()->where('kind', 'tuning')->latest('id')->first()?->data['text'])
        ->toContain('frames after: 62.5 a second');
    ($this->count)('after', [($this->log)(16)], '10 W');
    ($this->page)()->assertSee('Not comparable. Power mode: 15 W then, 10 W now.')->assertSee('Counted earlier');
});

it('gives the result away with every input', function () {
    $this->get("/jobs/{$this->job->id}/frames.json")->assertNotFound();
    ($this->count)('before', [($this->log)(20, 'a.csv')]);
    expect($this->get("/jobs/{$this->job->id}/frames.json")->assertOk()->json())
        ->toMatchArray(['rate' => 50, 'logs' => ['a.csv'], 'settings' => 'high', 'power' => '15 W', 'against' => null]);
    ($this->count)('after', [($this->log)(16, 'b.csv')]);
    $both = $this->get("/jobs/{$this->job->id}/frames.json")->json();
    expect($both)->toMatchArray(['rate' => 62.5, 'logs' => ['b.csv'], 'comparable' => true, 'why' => []])
        ->and($both['against']['logs'])->toBe(['a.csv'])
        ->and($both['figures'])->toHaveCount(9)
        ->and($both['change'][1])->toBeGreaterThan(0.24)->toBeLessThan(0.26);
});

it('takes three runs as three', function () {
    ($this->count)('before', [
        ($this->log)(20, 'a.csv', 40), ($this->log)(21, 'b.csv', 40), ($this->log)(19, 'c.csv', 40),
    ]);
    expect(FrameRecord::query()->sole()->counted()->spread?->count)->toBe(3);
    ($this->page)()->assertSee('a.csv, b.csv, c.csv');
});

it('refuses what says nothing, and what is no log', function (array $logs, string $says) {
    ($this->count)('before', $logs)->assertSessionHasErrors(['files' => $says]);
    expect(FrameRecord::query()->count())->toBe(0);
})->with([
    'none' => [[], 'Choose at least one log of frame times.'],
    'no times' => [
        fn () => [UploadedFile::fake()->createWithContent('<b>x</b>.csv', "heat,fan\n60,900\n")],
        'b>.csv: No column is called frame time, or time: there are heat, fan.',
    ],
]);

it('shows a hostile name as text, and is for who works alone', function () {
    ($this->count)('before', [($this->log)(20, "<img src=x onerror=alert(1)>\u{202E}.csv")])
        ->assertSessionHasNoErrors();
    ($this->page)()->assertDontSee('<img src=x', false);
    $this->actingAs($this->people['viewer']);
    ($this->page)()->assertDontSee('Take in a run');
    ($this->count)('before', [($this->log)(20)])->assertForbidden();
});

it('takes nothing more once the job is closed, and shows what was counted', function () {
    ($this->count)('before', [($this->log)(20)])->assertSessionHasNoErrors();
    $this->job->update(['status' => 'closed']);
    ($this->count)('after', [($this->log)(16)])->assertForbidden();
    ($this->page)()->assertSee('600 frames in')->assertDontSee('Take in a run');
});
