<?php

use App\Models\Job;
use App\Models\LogRecord;
use App\Models\PathRevision;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Yaml\Yaml;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->brief = fn (string $name) => Yaml::parseFile(base_path("docs/guide/briefs/{$name}.yaml"));
    $this->act = fn (Job $job, string $step, string $action, array $input = []) => $this->from("/jobs/{$job->id}/run")->post("/jobs/{$job->id}/steps/{$step}/{$action}", ['seen' => $job->refresh()->last_entry, ...($action === 'done' ? ['before_clock' => '1'] : []), ...$input]);
});

it('opens a job from a few letters of the model', function () {
    $this->post('/jobs', ['machine' => 'fair 13'])->assertRedirect();
    $job = Job::query()->firstOrFail();
    expect($job->title)->toBe('Fairlead 13')
        ->and($job->currentPlan()->plan['job']['image'])->toBe('Tansy Desktop 7 Dock installer')
        ->and($job->summary['total'])->toBe(count($job->currentPlan()->plan['steps']))
        ->and(LogRecord::query()->pluck('kind')->all())->toBe(['created']);
    $this->get("/jobs/{$job->id}")->assertOk()->assertSee('Path of the job')->assertSee('Does anything on this machine have to be kept?');
});

it('computes the same plan from the form as from the same brief on the command line', function () {
    $given = ($this->brief)('fairlead-13');
    $this->post('/jobs', ['machine' => 'Norrel Fairlead 13', 'title' => $given['title'], 'owner' => $given['owner'], 'slot' => 1, 'image' => 'tansy-desktop-7-dock', 'lsblk' => $given['machine']['lsblk'], 'keep' => 'some', 'folders' => implode(', ', $given['backup']['folders']), 'backup_bytes' => '24117248000', 'backup_files' => 11840, 'dest_name' => 'Bollard external drive', 'dest_free' => '410 GB', 'dest_rate' => '120', 'facts' => ['firmware.boot_mode' => 'both', 'drive.encryption' => 'chip']])->assertSessionHasNoErrors();
    $job = Job::query()->firstOrFail();
    $file = tempnam(sys_get_temp_dir(), 'brief');
    file_put_contents($file, $this->get("/jobs/{$job->id}/brief.yaml")->assertOk()->getContent());
    Artisan::call('cobblestone:plan', ['brief' => $file, '--json' => true]);
    $console = Artisan::output();
    unlink($file);
    expect($console)->toBe($this->get("/jobs/{$job->id}/plan.json")->getContent());
    $golden = json_decode(file_get_contents(base_path('tests/fixtures/jobs/fairlead-13.json')), true);
    expect(json_decode($console, true)['steps'])->toHaveCount(count($golden['steps']))
        ->and(json_decode($console, true)['layouts'])->toBe($golden['layouts']);
});

it('keeps what was typed and says which field is wrong', function (array $input, string $field, string $sentence) {
    $typed = ['machine' => 'fair 13', 'title' => 'Kept <b>title</b>', ...$input];
    $response = $this->from('/jobs/new')->post('/jobs', $typed)->assertRedirect('/jobs/new')->assertSessionHasErrors($field);
    expect(session('errors')->first($field))->toContain($sentence)
        ->and(Job::query()->count())->toBe(0)
        ->and(PathRevision::query()->count())->toBe(0);
    $this->get('/jobs/new')->assertOk()->assertSee('Kept &lt;b&gt;title&lt;/b&gt;', false);
})->with([
    'no machine' => [['machine' => ''], 'machine', 'type a few letters'],
    'unknown machine' => [['machine' => 'zeppelin'], 'machine', 'no model fits'],
    'two fit' => [['machine' => 'fairlead'], 'machine', 'fits Norrel Fairlead 13 and Norrel Fairlead 15 G'],
    'lsblk no JSON' => [['lsblk' => "NAME\nsda"], 'lsblk', 'Line 1 is not JSON'],
    'lsblk of another tool' => [['lsblk' => '{"disks":[]}'], 'lsblk', 'blockdevices'],
    'far too much text' => [['lsblk' => str_repeat('x', 2_000_001)], 'lsblk', 'far more than lsblk ever prints'],
    'size no size' => [['backup_bytes' => 'heaps', 'keep' => 'some'], 'backup_bytes', 'cannot be read as a size'],
    'slot' => [['slot' => '-3'], 'slot', 'whole number'],
    'image unknown' => [['image' => 'nope'], 'image', 'nope'],
    'no system named' => [['image' => 'other'], 'system_name', 'what is to be installed'],
    'image without size' => [['image' => 'other', 'system_name' => 'X'], 'image_bytes', 'how large'],
]);

it('reads a hostile name as text, everywhere', function () {
    $name = '<script>alert(1)</script> & "q" \'s\' '.str_repeat('long ', 15);
    $this->post('/jobs', ['machine' => 'laptop', 'machine_title' => mb_substr($name, 0, 110), 'title' => mb_substr($name, 0, 110), 'owner' => '<img src=x onerror=alert(1)>', 'image' => 'other', 'system_name' => '<i>sys</i>', 'image_name' => '"><svg onload=1>', 'image_bytes' => '3 GB'])->assertSessionHasNoErrors();
    $job = Job::query()->firstOrFail();
    foreach (['', '/run', '/run?stone=target.erase', '/log', '/handover', '/paper', '/intake'] as $page) {
        $this->get("/jobs/{$job->id}{$page}")->assertOk()->assertDontSee('<script>alert', false)->assertDontSee('<img src=x', false)->assertDontSee('<svg onload', false)->assertDontSee('<i>sys', false);
    }
    $this->get('/')->assertDontSee('<script>alert', false);
    $this->get('/find?q='.urlencode('<script>'))->assertDontSee('<script>alert', false);
});

it('takes duplicate serials, empty drives and negative sizes with a note, not a guess', function () {
    $this->post('/jobs', ['machine' => 'fair 13', 'lsblk' => json_encode(['blockdevices' => [['name' => 'sda', 'size' => 256060514304, 'type' => 'disk', 'serial' => 'SAME'], ['name' => 'sdb', 'size' => 256060514304, 'type' => 'disk', 'serial' => 'SAME'], ['name' => 'sdc', 'size' => 0, 'type' => 'disk'], ['name' => 'sdd', 'size' => -4, 'type' => 'disk']]])])->assertSessionHasNoErrors();
    $plan = Job::query()->firstOrFail()->currentPlan()->plan;
    expect(implode("\n", $plan['notes']))->toContain('same serial')->toContain('sdc: 0 bytes')->toContain('sdd')
        ->and($plan['verdict'])->toBe('hold');
});

it('never shows the last four of the target\'s serial', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    foreach (['', '/run', '/run?stone=target.erase', '/run?stone=target.find', '/log', '/handover', '/paper', '/intake'] as $page) {
        $this->get("/jobs/{$job->id}{$page}")->assertOk()->assertDontSee('415D')->assertDontSee('88415');
    }
    foreach (['/', '/bell', '/jobs', '/logbook'] as $page) {
        $this->get($page)->assertDontSee('415D');
    }
});

it('computes the path again from an answer, as a new revision with the difference', function () {
    $job = $this->jobFrom('unknown-laptop', $this->people['lead']);
    expect($job->summary['verdict'])->toBe('hold');
    $this->followingRedirects()->post("/jobs/{$job->id}/answers", ['seen' => $job->last_entry, 'facts' => ['owner.keep' => 'nothing', 'network.driver' => 'brings', 'target.serial' => 'ZX-55091', 'target.bytes' => '256060514304']])->assertOk()->assertSee('Revision 2')->assertSee('gone')->assertSee('Back up');
    $job->refresh();
    expect($job->revision)->toBe(2)
        ->and($job->summary['verdict'])->toBe('go')
        ->and($job->plans()->count())->toBe(2)
        ->and(App\Bridge\PathStore::all($job)[1]['verdict'])->toBe('hold');
    $this->get("/jobs/{$job->id}/intake")->assertOk()->assertDontSee('55091')->assertSee('ZX-5••••');
});

it('keeps finished stones when the path is computed again', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->act)($job, 'intake.take-in', 'done', ['evidence' => ['condition' => 'clean', 'accessories' => 'charger']])->assertRedirect();
    ($this->act)($job, 'identify.look', 'done')->assertRedirect();
    $this->post("/jobs/{$job->id}/answers", ['seen' => $job->refresh()->last_entry, 'facts' => ['drive.encryption' => 'none']])->assertSessionHasNoErrors();
    $job->refresh();
    expect(array_slice(array_column($job->currentPlan()->plan['steps'], 'id'), 0, 2))->toBe(['intake.take-in', 'identify.look'])
        ->and($job->summary['done'])->toBe(2)
        ->and($job->currentRevision()->difference['changed'][0]['what'])->toContain('what it waits for');
});

it('refuses a bad answer and keeps everything as it was', function () {
    $job = $this->jobFrom('unknown-laptop', $this->people['lead']);
    $this->from("/jobs/{$job->id}")->post("/jobs/{$job->id}/answers", ['seen' => $job->last_entry, 'lsblk' => '{"blockdevices": [', 'facts' => ['owner.keep' => 'some']])->assertSessionHasErrors('lsblk');
    expect($job->refresh()->revision)->toBe(1)->and(PathRevision::query()->count())->toBe(1);
    $this->get("/jobs/{$job->id}")->assertSee('{&quot;blockdevices&quot;: [', false);
});

it('lets the later of two people see what changed, and overwrites nothing', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $seen = $job->last_entry;
    $this->actingAs($this->people['evening'])->post("/jobs/{$job->id}/steps/intake.take-in/done", ['seen' => $seen, 'before_clock' => '1', 'evidence' => ['condition' => 'clean', 'accessories' => 'charger']])->assertRedirect();
    $late = $this->actingAs($this->people['lead'])->post("/jobs/{$job->id}/steps/intake.take-in/problem", ['seen' => $seen, 'text' => 'the lid is cracked']);
    $late->assertStatus(409)->assertSee('Somebody was here before you')->assertSee('evening technician')->assertSee('the lid is cracked');
    expect(LogRecord::query()->where('kind', 'problem')->count())->toBe(0);
    $this->post("/jobs/{$job->id}/answers", ['seen' => $seen, 'facts' => ['drive.encryption' => 'none']])->assertStatus(409);
    expect($job->refresh()->revision)->toBe(1);
    $this->post("/jobs/{$job->id}/steps/intake.take-in/note", ['seen' => $seen, 'text' => 'a note never collides'])->assertRedirect();
    expect(LogRecord::query()->where('kind', 'note')->count())->toBe(1);
});

it('writes a log that only grows: the database refuses to change it', function (string $sql) {
    $this->jobFrom('fairlead-13', $this->people['lead']);
    Illuminate\Support\Facades\DB::statement($sql);
})->with(["update log_entries set kind = 'done'", 'delete from log_entries', "update plans set reason = 'x'", 'delete from plans'])->throws(Illuminate\Database\QueryException::class, 'permission denied');

it('stands after a power cut where its last log entry left it', function () {
    $job = $this->jobFrom('pocket-lantern', $this->people['lead']);
    ($this->act)($job, 'intake.take-in', 'done', ['evidence' => ['condition' => 'clean', 'accessories' => 'charger']]);
    ($this->act)($job, 'identify.look', 'start');
    $kept = $job->refresh()->summary;
    $job->update(['summary' => ['lost' => true]]);
    expect(app(App\Bridge\JobBridge::class)->summary(app(App\Bridge\JobBridge::class)->progress($job->refresh())))->toBe($kept)
        ->and($kept['current']['id'])->toBe('identify.look')
        ->and($kept['current']['state'])->toBe('running');
});

it('walks a handheld job to the end, holding the handover until everything is put back', function () {
    $job = $this->jobFrom('pocket-lantern', $this->people['lead']);
    $bridge = app(App\Bridge\JobBridge::class);
    for ($laid = 0; ($current = $bridge->progress($job->refresh())->current()) !== null; $laid++) {
        $step = $current->toArray();
        if ($step['id'] === 'put-back.sign') {
            ($this->act)($job, 'hand-over.give-back', 'done', ['evidence' => ['received_by' => 'lounge lead']])->assertSessionHasErrors('step');
            $this->get("/jobs/{$job->id}/handover")->assertSee('Draft')->assertSee('Trusted start: off');
        }
        if ($step['one_way']) {
            ($this->act)($job, $step['id'], 'done')->assertSessionHasErrors('serial');
            if ($step['confirmation']['typed']) {
                ($this->act)($job, $step['id'], 'confirm', ['serial' => '0000', 'read_from' => 'label'])->assertSessionHasErrors('serial');
            }
            ($this->act)($job, $step['id'], 'confirm', ['serial' => '77e9', 'read_from' => 'console'])->assertSessionHasNoErrors();
        }
        $evidence = Cobblestone\Runbook\WalkThrough::evidence($current, $bridge->progress($job)->evidence());
        ($this->act)($job, $step['id'], 'done', ['evidence' => $evidence])->assertSessionHasNoErrors();
    }
    expect($job->refresh()->status)->toBe('handed-over')
        ->and($job->summary['done'])->toBe($laid)->toBe($job->summary['total'])
        ->and($job->summary['put_back'])->toBe(0);
    $this->get("/jobs/{$job->id}/handover")->assertDontSee('Draft')->assertSee('stays like this on purpose')->assertSee('Signed: as the path says');
    $this->get('/')->assertDontSee('Pocket Lantern');
    expect(json_encode(LogRecord::query()->pluck('data')))->not->toContain('77e9');
});

it('waives a gate only by a lead and in writing', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $waive = ['gate' => 'backup', 'agreed_by' => 'crew office', 'text' => 'nothing of worth on it'];
    $this->actingAs($this->people['evening']);
    ($this->act)($job, 'target.erase', 'waive', $waive)->assertSessionHasErrors('role');
    $this->actingAs($this->people['lead']);
    ($this->act)($job, 'target.erase', 'waive', [...$waive, 'text' => ' '])->assertSessionHasErrors('text');
    ($this->act)($job, 'target.erase', 'waive', $waive)->assertSessionHasNoErrors();
    $this->get("/jobs/{$job->id}/handover")->assertSee('crew office')->assertSee('nothing of worth on it');
});

it('takes a done back for ten seconds, and keeps both entries', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->act)($job, 'intake.take-in', 'done', ['evidence' => ['condition' => 'clean', 'accessories' => 'charger']]);
    $this->travel(9)->seconds();
    ($this->act)($job, 'intake.take-in', 'take-back')->assertSessionHasNoErrors();
    expect($job->refresh()->summary['done'])->toBe(0)
        ->and(LogRecord::query()->orderBy('id')->pluck('kind')->all())->toBe(['created', 'done', 'taken-back']);
    ($this->act)($job, 'intake.take-in', 'done', ['evidence' => ['condition' => 'clean', 'accessories' => 'charger']]);
    $this->travel(11)->seconds();
    ($this->act)($job, 'intake.take-in', 'take-back')->assertSessionHasErrors('step');
});

it('shows an overdue wait with what is usual and the next test', function () {
    $job = $this->jobFrom('pocket-lantern', $this->people['lead']);
    ($this->act)($job, 'image.check', 'walk');
    $this->travel(5)->minutes();
    $this->get("/jobs/{$job->id}/run?stone=image.check")->assertSee('Longer than it should');
    $this->get('/bell')->assertSee('Check the image takes longer than it should');
});

it('answers an unknown action or stone in words', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->act)($job, 'nope', 'done')->assertSessionHasErrors('step');
    ($this->act)($job, 'intake.take-in', 'explode')->assertSessionHasErrors('step');
    $this->get("/jobs/{$job->id}/run?stone=nope")->assertNotFound()->assertSee('no such stone');
});

it('finds jobs and catalogue entries, by number and by words with wild cards in them', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->get('/find?q=crew')->assertSee('Fairlead 13, crew laptop 4');
    $this->get("/find?q={$job->id}")->assertSee('Fairlead 13, crew laptop 4');
    $this->get('/find?q=lantern')->assertSee('Pocket Lantern XL');
    $this->get('/find?q='.urlencode('%'))->assertSee('No job carries these words');
    $this->get('/find')->assertOk();
});

it('says what to do first where a list is empty', function () {
    $this->get('/')->assertSee('No machine is on the bench');
    $this->get('/jobs')->assertSee('There are no jobs yet');
    $this->get('/logbook')->assertSee('Nothing has happened yet');
    $this->get('/bell')->assertSee('Nothing needs hands');
});
