<?php

use App\Models\BenchPolicy;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\SealedKey;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->open = function (string $brief): Job {
        $this->job = $this->jobFrom($brief, $this->people['lead']);

        return $this->job;
    };
    $this->send = fn (string $path, array $data = []) => $this->post("/jobs/{$this->job->id}/{$path}", ['seen' => $this->job->refresh()->last_entry, 'before_clock' => '1', ...$data]);
});

it('shows the ladder with why each gentler rung is out, and goes on once one was tried', function () {
    ($this->open)('repair');
    $this->get("/jobs/{$this->job->id}/assessment")->assertOk()->assertSee('Start-up repair from the recovery environment')->assertSee('This system keeps no older entries.')->assertSee('would change this most');
    ($this->send)('answers', ['facts' => ['recovery.environment' => 'yes', 'symptom.starts' => 'recovery']])->assertSessionHasNoErrors();
    expect($this->job->refresh()->currentPlan()->plan['assessment']['route']['recommended'])->toBe('startup-repair');
    ($this->send)('tried', ['rung' => 'startup-repair'])->assertSessionHasNoErrors();
    ($this->send)('tried', ['rung' => 'take-back'])->assertSessionHasNoErrors();
    $route = $this->job->refresh()->currentPlan()->plan['assessment']['route'];
    expect(array_column($route['ladder'], 'standing', 'id'))->toMatchArray(['startup-repair' => 'out', 'take-back' => 'out'])
        ->and($route['recommended'])->toBe('system-files');
    $this->get("/jobs/{$this->job->id}/assessment")->assertSee('Tried already, and it did not help.');
    ($this->send)('tried', ['rung' => '<b>'])->assertSessionHasErrors('rung');
});

it('walks the memory sheet to a verdict', function () {
    ($this->open)('fairlead-13');
    $this->get("/jobs/{$this->job->id}/memory")->assertSee('Begin the sheet')->assertSee('Slot A, Slot B');
    ($this->send)('memory', ['modules' => 'M1 8; M2=16 GiB', 'slots' => 'Slot A, Slot B', 'profile' => 'faster', 'spare_gib' => 8])->assertSessionHasNoErrors();
    $test = fn (array $placed, string $outcome, string $profile = 'standard') => ($this->send)('memory/tests', ['placed' => $placed, 'profile' => $profile, 'passes' => 2, 'outcome' => $outcome]);
    $this->get("/jobs/{$this->job->id}/memory")->assertSee('Set memory to standard speed first');
    $test(['Slot A' => 'M1', 'Slot B' => 'M2'], 'errors', 'faster')->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/memory")->assertSee('Only tests at standard speed count')->assertSee('Nothing is copied, repaired or installed');
    $test(['Slot A' => 'M1', 'Slot B' => 'M2'], 'errors');
    $test(['Slot A' => 'M1'], 'errors');
    $test(['Slot A' => 'M2'], 'clean');
    $test(['Slot B' => 'M1'], 'errors');
    $this->get("/jobs/{$this->job->id}/memory")->assertSee('Module M1 is bad, with 99 % confidence.');
    $this->get("/jobs/{$this->job->id}/run?stone=protect.back-up")->assertSee('memory sheet');
    expect($this->job->refresh()->currentPlan()->plan['assessment']['memory'])->toMatchArray(['fact' => 'bad', 'settled' => true]);
});

it('refuses a test or a sheet that cannot be, beside its field', function (string $path, array $data, string $field) {
    ($this->open)('fairlead-13');
    ($this->send)('memory', ['modules' => 'M1 8', 'slots' => 'A, B', 'profile' => 'standard'])->assertSessionHasNoErrors();
    $before = $this->job->refresh()->brief;
    ($this->send)($path, $data)->assertSessionHasErrors($field);
    expect($this->job->refresh()->brief)->toBe($before);
})->with([
    ['memory', ['modules' => 'M1', 'slots' => 'A', 'profile' => 'standard'], 'modules'],
    ['memory', ['modules' => 'M1 8, M2 8', 'slots' => 'A', 'profile' => 'standard'], 'modules'],
    ['memory', ['modules' => '', 'slots' => '', 'profile' => 'standard'], 'modules'],
    ['memory/tests', ['placed' => ['A' => ''], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'clean'], 'placed'],
    ['memory/tests', ['placed' => ['A' => 'M1', 'B' => 'M1'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'clean'], 'placed'],
    ['memory/tests', ['placed' => ['A' => 'M1'], 'profile' => 'standard', 'passes' => 0, 'outcome' => 'clean'], 'passes'],
    ['memory/tests', ['placed' => ['A' => 'M1'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'fine'], 'outcome'],
]);

it('takes the proof from a backup that went through bad memory', function () {
    ($this->open)('fairlead-13');
    $do = fn (string $step, array $evidence = []) => ($this->send)("steps/{$step}/done", ['evidence' => $evidence])->assertSessionHasNoErrors();
    $do('intake.take-in', ['condition' => 'clean', 'accessories' => 'charger']);
    $do('identify.look');
    $do('protect.owner-word', ['agreed_by' => 'x', 'promised' => 'y', 'agreed_how' => 'in-writing']);
    $do('protect.back-up');
    $do('protect.check-backup', ['files_source' => '11840', 'files_copy' => '11840', 'bytes_source' => '24117248000', 'bytes_copy' => '24117248000', 'checksums' => 'equal', 'samples' => '3']);
    expect($this->job->refresh()->summary['done'])->toBe(5);
    ($this->send)('memory', ['modules' => 'M1 8, M2 8', 'slots' => 'A, B', 'profile' => 'standard']);
    ($this->send)('memory/tests', ['placed' => ['A' => 'M1', 'B' => 'M2'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'errors'])->assertSessionHasNoErrors();
    expect($this->job->refresh()->summary['done'])->toBe(3)
        ->and(LogRecord::query()->where('kind', 'unproven')->pluck('step')->all())->toBe(['protect.back-up', 'protect.check-backup']);
    $this->get("/jobs/{$this->job->id}/log")->assertSee('lost its proof');
});

it('compares both sides of a backup and opens the gate with it', function () {
    ($this->open)('fairlead-13');
    $sums = fn (array $files) => implode("\n", array_map(fn ($name, $text) => hash('sha256', $text)."  ./{$name}", array_keys($files), $files));
    $files = ['a/papers.txt' => 'one', 'a/Ä rota.txt' => 'two', 'b.jpg' => 'three'];
    $this->post("/jobs/{$this->job->id}/backup", ['source' => $sums($files), 'copy' => $sums(['b.jpg' => 'three', 'a/papers.txt' => 'changed', 'extra.txt' => 'x'])])->assertOk()->assertSee('1 missing, 1 differ, of 3 files.')->assertSee('Ä rota.txt')->assertSee('extra.txt')->assertDontSee('Open the gate with this');
    $this->post("/jobs/{$this->job->id}/backup", ['source_file' => UploadedFile::fake()->createWithContent('SHA256SUMS', $sums($files)), 'copy' => $sums($files)])->assertSee('All 3 files are in the copy with equal checksums.');
    $this->post("/jobs/{$this->job->id}/backup", ['source' => '', 'copy' => 'x'])->assertSessionHasErrors('source');
    foreach (['intake.take-in' => ['condition' => 'c', 'accessories' => 'a'], 'identify.look' => [], 'protect.owner-word' => ['agreed_by' => 'x', 'promised' => 'y', 'agreed_how' => 'in-writing'], 'protect.back-up' => []] as $step => $evidence) {
        ($this->send)("steps/{$step}/done", ['evidence' => $evidence]);
    }
    $this->post("/jobs/{$this->job->id}/backup", ['source' => $sums($files), 'copy' => $sums($files)])->assertSee('Open the gate with this');
});

it('keeps no key by default, and seals, shows, logs and forgets them where the policy allows', function () {
    ($this->open)('fairlead-13');
    ($this->send)('keys', ['kind' => 'recovery', 'label' => 'A1B2', 'secret' => '111111-222222'])->assertForbidden();
    BenchPolicy::query()->create(['schools' => ['keys' => 'sealed'], 'user_id' => $this->people['lead']->id]);
    ($this->send)('keys', ['kind' => 'recovery', 'label' => 'A1B2', 'secret' => 'x'])->assertSessionHasErrors('secret');
    ($this->send)('keys', ['kind' => 'recovery', 'label' => 'A1B2', 'secret' => '482913-771204'])->assertSessionHasNoErrors();
    $key = SealedKey::query()->firstOrFail();
    $raw = (string) DB::table('sealed_keys')->value('sealed');
    expect($raw)->not->toContain('482913')->and($key->sealed)->toBe('482913-771204');
    foreach (['keys', 'log', '', 'run', 'handover', 'plan.json', 'brief.yaml', 'intake'] as $page) {
        expect($this->get("/jobs/{$this->job->id}/{$page}")->assertOk()->getContent())->not->toContain('482913');
    }
    $shown = $this->post("/jobs/{$this->job->id}/keys/{$key->id}/show");
    $shown->assertOk()->assertSee('482913-771204')->assertHeader('Cache-Control', 'no-store, private');
    expect(LogRecord::query()->where('kind', 'key-shown')->count())->toBe(1)
        ->and((string) json_encode(LogRecord::query()->pluck('data')))->not->toContain('482913');
    // From another computer without encryption nothing is shown.
    $this->call('POST', "/jobs/{$this->job->id}/keys/{$key->id}/show", server: ['REMOTE_ADDR' => '192.0.2.7'])->assertForbidden();
    $other = $this->jobFrom('pocket-lantern', $this->people['lead']);
    $this->post("/jobs/{$other->id}/keys/{$key->id}/show")->assertNotFound();
    $this->travel(15)->days();
    $this->get("/jobs/{$this->job->id}/keys")->assertSee('deleted');
    $this->artisan('cobblestone:watch', ['--once' => true]);
    expect(DB::table('sealed_keys')->value('sealed'))->toBeNull();
    $this->post("/jobs/{$this->job->id}/keys/{$key->id}/show")->assertSessionHasErrors('key');
    $this->actingAs($this->people['viewer'])->get("/jobs/{$this->job->id}/keys")->assertForbidden();
});

it('deletes sealed keys at the handover', function () {
    BenchPolicy::query()->create(['schools' => ['keys' => 'sealed'], 'user_id' => $this->people['lead']->id]);
    ($this->open)('stick-for-any');
    ($this->send)('keys', ['kind' => 'licence', 'label' => 'Dock', 'secret' => 'ABCDE-FGHIJ']);
    foreach ($this->job->currentPlan()->plan['steps'] as $step) {
        if ($step['one_way']) {
            ($this->send)("steps/{$step['id']}/confirm");
        }
        ($this->send)("steps/{$step['id']}/done", ['evidence' => ['shelved' => 'drawer two']])->assertSessionHasNoErrors();
    }
    expect($this->job->refresh()->status)->toBe('handed-over')
        ->and(DB::table('sealed_keys')->value('sealed'))->toBeNull()
        ->and(SealedKey::query()->firstOrFail()->deleted_at)->not->toBeNull();
});

it('waits for somebody, reminds on the day, and goes on', function () {
    $this->travelTo('2026-11-24 10:00:00');
    ($this->open)('fairlead-13');
    ($this->send)('steps/intake.take-in/start');
    ($this->send)('state/wait', ['for' => 'weather'])->assertSessionHasErrors('for');
    ($this->send)('state/wait', ['for' => 'part', 'remind' => '24.11.'])->assertSessionHasErrors('remind');
    ($this->send)('state/wait', ['for' => 'part', 'wait_text' => 'new drive', 'remind' => '2026-11-27'])->assertSessionHasNoErrors();
    $this->get('/')->assertSee('Waits for a part')->assertSee('new drive')->assertDontSee('Needs hands: Take in');
    expect($this->get('/bell')->getContent())->not->toContain('new drive');
    $this->travelTo('2026-11-27 09:01:00');
    $this->get('/bell')->assertSee('waits for a part: new drive');
    ($this->send)('state/reminded')->assertSessionHasNoErrors();
    expect($this->get('/bell')->getContent())->not->toContain('waits for a part');
    ($this->send)('state/resume')->assertSessionHasNoErrors();
    $this->get('/')->assertDontSee('Waits for a part');
    ($this->send)('state/dance')->assertNotFound();
});

it('reminds before the way back of an upgrade ends, also after the handover, and loses it at once', function () {
    $this->travelTo('2026-11-24 10:00:00');
    ($this->open)('upgrade');
    foreach ($this->job->currentPlan()->plan['steps'] as $step) {
        $bridge = app(App\Bridge\JobBridge::class);
        $progress = $bridge->progress($this->job->refresh());
        $evidence = Cobblestone\Runbook\WalkThrough::evidence($progress->plan->step($step['id']), $progress->evidence());
        ($this->send)("steps/{$step['id']}/done", ['evidence' => $evidence])->assertSessionHasNoErrors();
    }
    expect($this->job->refresh()->status)->toBe('handed-over');
    $this->get("/jobs/{$this->job->id}")->assertSee('Can be taken back until 4 Dec 2026, 10:00, 10 days from now.');
    $this->get('/bell')->assertDontSee('can be taken back');
    $this->travelTo('2026-12-01 10:00:01');
    $this->get('/bell')->assertSee('can be taken back until 4 Dec 2026');
    ($this->send)('state/reminded');
    $this->get('/bell')->assertDontSee('can be taken back');
    $this->travelTo('2026-12-03 10:00:01');
    $this->get('/bell')->assertSee('can be taken back until 4 Dec 2026');
    ($this->send)('state/rollback-lost');
    $this->get('/bell')->assertDontSee('can be taken back');
    $this->get("/jobs/{$this->job->id}")->assertSee('folder is gone');
});

it('finds what is seen from anywhere, and offers it at its stone', function () {
    ($this->open)('fairlead-13');
    $this->get('/find?q=recovery+key')->assertSee('Asks for a recovery key')->assertSee('Put the changed setting back first.');
    $this->get('/find?q=zzz')->assertDontSee('Is this normal?');
    $this->get("/jobs/{$this->job->id}/run?stone=install.phase-0")->assertDontSee('seen at this stone');
    $this->travelTo(now());
    ($this->send)('steps/intake.take-in/start');
    $this->get("/jobs/{$this->job->id}/run?stone=intake.take-in")->assertSee('Is this normal?')->assertSee('The case is bulging');
});
