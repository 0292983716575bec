<?php

use App\Models\LogRecord;
use Illuminate\Http\UploadedFile;

beforeEach(fn () => jobAtHand($this, 'lead', ['before_clock' => '1']));

it('shows the ladder with why each gentler rung is out, and goes on once one was tried', function () {
    ($this->open)('repair');
    $this->get("/jobs/{$this->job->id}/assessment")
        ->assertOk()
        ->assertSee('Start-up repair from the recovery environment')
        ->assertSee('This system keeps no older entries.')
        ->assertSee('would change this most');
    ($this->send)('answers', ['facts' => ['recovery.environment' => 'yes', 'symptom.starts' => 'recovery']])
        ->assertSessionHasNoErrors();
    expect($this->job->refresh()->currentPlan()->plan['assessment']['route']['recommended'])->toBe('startup-repair');
    ($this->send)('tried', ['rung' => 'startup-repair'])->assertSessionHasNoErrors();
    ($this->send)('tried', ['rung' => 'take-back'])->assertSessionHasNoErrors();
    $route = $this->job->refresh()->currentPlan()->plan['assessment']['route'];
    expect(array_column($route['ladder'], 'standing', 'id'))->toMatchArray([
        'startup-repair' => 'out',
        'take-back' => 'out',
    ])
        ->and($route['recommended'])->toBe('system-files');
    $this->get("/jobs/{$this->job->id}/assessment")->assertSee('Tried already, and it did not help.');
    ($this->send)('tried', ['rung' => '<b>'])->assertSessionHasErrors('rung');
});

it('walks the memory sheet to a verdict', function () {
    ($this->open)('fairlead-13');
    $this->get("/jobs/{$this->job->id}/memory")->assertSee('Begin the sheet')->assertSee('Slot A, Slot B');
    ($this->send)('memory', [
        'modules' => 'M1 8; M2=16 GiB',
        'slots' => 'Slot A, Slot B',
        'profile' => 'faster',
        'spare_gib' => 8,
    ])
        ->assertSessionHasNoErrors();
    $test = fn (array $placed, string $outcome, string $profile = 'standard') => ($this->send)(
        'memory/tests',
        ['placed' => $placed, 'profile' => $profile, 'passes' => 2, 'outcome' => $outcome],
    );
    $this->get("/jobs/{$this->job->id}/memory")->assertSee('Set memory to standard speed first');
    $test(['Slot A' => 'M1', 'Slot B' => 'M2'], 'errors', 'faster')->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/memory")
        ->assertSee('Only tests at standard speed count')
        ->assertSee('Nothing is copied, repaired or installed');
    $test(['Slot A' => 'M1', 'Slot B' => 'M2'], 'errors');
    $test(['Slot A' => 'M1'], 'errors');
    $test(['Slot A' => 'M2'], 'clean');
    $test(['Slot B' => 'M1'], 'errors');
    $this->get("/jobs/{$this->job->id}/memory")->assertSee('Module M1 is bad, with 99 % confidence.');
    $this->get("/jobs/{$this->job->id}/run?stone=protect.back-up")->assertSee('memory sheet');
    expect($this->job->refresh()->currentPlan()->plan['assessment']['memory'])
        ->toMatchArray(['fact' => 'bad', 'settled' => true]);
});

it('refuses a test or a sheet that cannot be, beside its field', function (string $path, array $data, string $field) {
    ($this->open)('fairlead-13');
    ($this->send)('memory', ['modules' => 'M1 8', 'slots' => 'A, B', 'profile' => 'standard'])
        ->assertSessionHasNoErrors();
    $before = $this->job->refresh()->brief;
    ($this->send)($path, $data)->assertSessionHasErrors($field);
    expect($this->job->refresh()->brief)->toBe($before);
})->with([
    ['memory', ['modules' => 'M1', 'slots' => 'A', 'profile' => 'standard'], 'modules'],
    ['memory', ['modules' => 'M1 8, M2 8', 'slots' => 'A', 'profile' => 'standard'], 'modules'],
    ['memory', ['modules' => '', 'slots' => '', 'profile' => 'standard'], 'modules'],
    ['memory/tests', ['placed' => ['A' => ''], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'clean'], 'placed'],
    [
        'memory/tests',
        ['placed' => ['A' => 'M1', 'B' => 'M1'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'clean'],
        'placed',
    ],
    [
        'memory/tests',
        ['placed' => ['A' => 'M1'], 'profile' => 'standard', 'passes' => 0, 'outcome' => 'clean'],
        'passes',
    ],
    [
        'memory/tests',
        ['placed' => ['A' => 'M1'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'fine'],
        'outcome',
    ],
]);

it('takes the proof from a backup that went through bad memory', function () {
    ($this->open)('fairlead-13');
    $do = fn (string $step, array $evidence = []) => ($this->send)("steps/{$step}/done", ['evidence' => $evidence])
        ->assertSessionHasNoErrors();
    $do('intake.take-in', ['condition' => 'clean', 'accessories' => 'charger']);
    $do('identify.look');
    $do('protect.owner-word', ['agreed_by' => 'x', 'promised' => 'y', 'agreed_how' => 'in-writing']);
    $do('protect.back-up');
    $do('protect.check-backup', [
        'files_source' => '11840',
        'files_copy' => '11840',
        'bytes_source' => '24117248000',
        'bytes_copy' => '24117248000',
        'checksums' => 'equal',
        'samples' => '3',
    ]);
    expect($this->job->refresh()->summary['done'])->toBe(5);
    ($this->send)('memory', ['modules' => 'M1 8, M2 8', 'slots' => 'A, B', 'profile' => 'standard']);
    ($this->send)('memory/tests', [
        'placed' => ['A' => 'M1', 'B' => 'M2'],
        'profile' => 'standard',
        'passes' => 2,
        'outcome' => 'errors',
    ])
        ->assertSessionHasNoErrors();
    expect($this->job->refresh()->summary['done'])->toBe(3)
        ->and(LogRecord::query()->where('kind', 'unproven')->pluck('step')->all())
        ->toBe(['protect.back-up', 'protect.check-backup']);
    $this->get("/jobs/{$this->job->id}/log")->assertSee('lost its proof');
});

it('compares both sides of a backup and opens the gate with it', function () {
    ($this->open)('fairlead-13');
    $sums = fn (array $files) => implode(
        "\n",
        array_map(fn ($name, $text) => hash('sha256', $text)."  ./{$name}", array_keys($files), $files),
    );
    $files = ['a/papers.txt' => 'one', 'a/Ä rota.txt' => 'two', 'b.jpg' => 'three'];
    $this->post("/jobs/{$this->job->id}/backup", [
        'source' => $sums($files),
        'copy' => $sums(['b.jpg' => 'three', 'a/papers.txt' => 'changed', 'extra.txt' => 'x']),
    ])
        ->assertOk()
        ->assertSee('1 missing, 1 differ, of 3 files.')
        ->assertSee('Ä rota.txt')
        ->assertSee('extra.txt')
        ->assertDontSee('Open the gate with this');
    $this->post("/jobs/{$this->job->id}/backup", [
        'source_file' => UploadedFile::fake()->createWithContent('SHA256SUMS', $sums($files)),
        'copy' => $sums($files),
    ])
        ->assertSee('All 3 files are in the copy with equal checksums.');
    $this->post("/jobs/{$this->job->id}/backup", ['source' => '', 'copy' => 'x'])->assertSessionHasErrors('source');
    foreach (
        [
            'intake.take-in' => ['condition' => 'c', 'accessories' => 'a'],
            'identify.look' => [],
            'protect.owner-word' => ['agreed_by' => 'x', 'promised' => 'y', 'agreed_how' => 'in-writing'],
            'protect.back-up' => [],
        ] as $step => $evidence
    ) {
        ($this->send)("steps/{$step}/done", ['evidence' => $evidence]);
    }
    $this->post("/jobs/{$this->job->id}/backup", ['source' => $sums($files), 'copy' => $sums($files)])
        ->assertSee('Open the gate with this');
});
