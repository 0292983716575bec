<?php

use App\Actions\LogBook;
use App\Bridge\Figures;
use App\Drawing\MonthStones;
use App\Models\StepTime;
use App\Models\StickEvent;
use Cobblestone\Runbook\EntryKind;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['viewer']);
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->write = fn (EntryKind $kind, ?string $step, array $data = []) => app(LogBook::class)
        ->write($this->job->refresh(), $this->people['evening'], $kind, $step, $data);
    $this->rows = fn (string $table): array => array_map(
        fn (string $line): array => str_getcsv($line, ',', '"', ''),
        explode("\n", trim((string) $this->get("/logbook/figures/{$table}.csv")->assertOk()->getContent())),
    );
});

it('has nothing to teach before anything happened', function () {
    $this->get('/logbook/figures')->assertOk()->assertSee('No problem was noted in twelve months.');
    $this->get('/logbook')->assertSee('What it teaches');
    $this->get('/logbook/figures/nonsense.csv')->assertNotFound();
});

it('counts what was lost until it went on, by what was seen and what caused it', function () {
    $this->travelTo(now()->startOfMonth()->addDays(10)->setTime(9, 0));
    ($this->write)(EntryKind::Problem, 'media.write', ['symptom' => 'access-denied', 'text' => 'Access is denied']);
    $this->travel(25)->minutes();
    ($this->write)(EntryKind::Helped, 'media.write', ['symptom' => 'access-denied', 'cause' => 'A volume is mounted.']);
    // Another at the same stone, which goes on without anybody saying why.
    ($this->write)(EntryKind::Problem, 'media.write', ['text' => 'no light on it']);
    $this->travel(5)->minutes();
    ($this->write)(EntryKind::Retry, 'media.write');
    // One that nobody has ended, and one that stood over a weekend.
    ($this->write)(EntryKind::Problem, 'media.verify', ['text' => 'slow']);
    ($this->write)(EntryKind::Problem, 'boot.start', ['text' => 'black']);
    $this->travel(60)->hours();
    ($this->write)(EntryKind::Done, 'boot.start');
    $rows = ($this->rows)('troubles');
    expect($rows[0])->toBe(['month', 'symptom', 'cause', 'machine', 'image', 'stick', 'times', 'minutes'])
        ->and(array_map(fn (array $row) => [$row[1], $row[2], $row[6], $row[7]], array_slice($rows, 1)))
        ->toEqualCanonicalizing([
            ['Access is denied while writing', 'A volume is mounted.', '1', '25'],
            ['no light on it', 'nobody named one', '1', '5'],
            ['slow', 'nobody named one', '1', '0'],
            ['black', 'nobody named one', '1', '480'],
        ])
        ->and($rows[1][3])->toBe('Norrel Fairlead 13');
    $this->get('/logbook/figures')->assertSee('4 problems in twelve months, 510 min until they went on.')
        ->assertSee('Access is denied while writing')
        ->assertSee('class="lost"', false)
        ->assertSee('Norrel Fairlead 13');
});

it('leaves out what is older than a year', function () {
    $this->travelTo(now()->subMonths(13));
    ($this->write)(EntryKind::Problem, 'media.write', ['text' => 'old']);
    $this->travelBack();
    expect(count(($this->rows)('troubles')))->toBe(1)->and(count(Figures::months()))->toBe(12);
});

it('counts waivers, sticks that failed and times', function () {
    ($this->write)(EntryKind::Waived, 'target.erase', ['gate' => 'backup', 'words' => 'Backup verified']);
    ($this->write)(EntryKind::Waived, 'target.erase', ['gate' => 'backup', 'words' => 'Backup verified']);
    StickEvent::note('gull-32', 'failed', ['kinds' => ['write', 'mismatch']], null);
    StickEvent::note('gull-32', 'booted-badly', [], null);
    foreach ([600, 610, 615, 620, 630, 3600] as $seconds) {
        StepTime::query()->create([
            'job_id' => $this->jobFrom('stick-for-any', $this->people['lead'])->id, 'model' => 'norrel-fairlead-13',
            'system' => 'Tansy Desktop 7', 'step' => 'install.phase-0', 'title' => 'Copy files', 'seconds' => $seconds,
            'stick' => $seconds === 620 ? 'Gull 32' : 'Tern 64',
        ]);
    }
    $month = now(config('cobblestone.timezone'))->format('Y-m');
    expect(($this->rows)('waived')[1])->toBe([$month, 'Backup verified', '2'])
        ->and(array_column(array_slice(($this->rows)('sticks'), 1), 2))
        ->toEqualCanonicalizing(['write', 'mismatch', 'start'])
        ->and(($this->rows)('durations')[1])
        ->toBe(['Norrel Fairlead 13', 'Tansy Desktop 7', 'Copy files', '5', '10 min', '10 min to 11 min', '1 h 00',
            'Gull 32 1 × 10 min, Tern 64 4 × 10 min']);
    $this->get('/logbook/figures')->assertSee('What was waived')->assertSee('gull-32');
});

it('draws stones by area, and none where nothing was lost', function () {
    $drawing = MonthStones::of(['2026-01' => 0, '2026-02' => 100, '2026-03' => 25]);
    $wide = function (string $path): float {
        preg_match_all('/(-?[0-9.]+)[ ,]+(-?[0-9.]+)/', $path, $m);

        return max(array_map(floatval(...), $m[1])) - min(array_map(floatval(...), $m[1]));
    };
    expect($drawing->stones[0]['path'])->toBe('')
        ->and($drawing->stones[0]['said'])->toBe('')
        ->and($drawing->stones[1]['said'])->toBe('100 min')
        // A quarter of the area, and so half as wide, but for the least size.
        ->and($wide($drawing->stones[2]['path']) / $wide($drawing->stones[1]['path']))->toBeBetween(0.45, 0.66)
        ->and(MonthStones::of([])->stones)->toBe([]);
});
