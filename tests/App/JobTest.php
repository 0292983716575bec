<?php

use App\Models\Job;
use App\Models\LogRecord;
use App\Models\PathRevision;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Demo;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->brief = fn (string $name) => Yaml::parseFile(base_path("docs/guide/briefs/{$name}.yaml"));
    $this->act = fn (Job $job, string $step, string $action, array $input = []) => $this->from("/jobs/{$job->id}/run")
        ->post("/jobs/{$job->id}/steps/{$step}/{$action}", [
            'seen' => $job->refresh()->last_entry,
            ...($action === 'done' ? ['before_clock' => '1'] : []),
            ...$input,
        ]);
});

it('opens a job from a few letters of the model', function () {
    $this->post('/jobs', ['machine' => 'fair 13'])->assertRedirect();
    $job = Job::query()->firstOrFail();
    expect($job->title)->toBe('Fairlead 13')
        ->and($job->currentPlan()->plan['job']['image'])->toBe('Tansy Desktop 7 Dock installer')
        ->and($job->summary['total'])->toBe(count($job->currentPlan()->plan['steps']))
        ->and(LogRecord::query()->pluck('kind')->all())->toBe(['created']);
    $this->get("/jobs/{$job->id}")
        ->assertOk()
        ->assertSee('Path of the job')
        ->assertSee('Does anything on this machine have to be kept?');
});

it('computes the same plan from the form as from the same brief on the command line', function () {
    $given = ($this->brief)('fairlead-13');
    $this->post('/jobs', [
        'machine' => 'Norrel Fairlead 13',
        'title' => $given['title'],
        'owner' => $given['owner'],
        'slot' => 1,
        'image' => 'tansy-desktop-7-dock',
        'lsblk' => $given['machine']['lsblk'],
        'keep' => 'some',
        'folders' => implode(', ', $given['backup']['folders']),
        'backup_bytes' => '24117248000',
        'backup_files' => 11840,
        'dest_name' => 'Bollard external drive',
        'dest_free' => '410 GB',
        'dest_rate' => '120',
        'facts' => ['firmware.boot_mode' => 'both', 'drive.encryption' => 'chip'],
    ])
        ->assertSessionHasNoErrors();
    $job = Job::query()->firstOrFail();
    $file = tempnam(sys_get_temp_dir(), 'brief');
    file_put_contents($file, $this->get("/jobs/{$job->id}/brief.yaml")->assertOk()->getContent());
    Artisan::call('cobblestone:plan', ['brief' => $file, '--json' => true]);
    $console = Artisan::output();
    unlink($file);
    expect($console)->toBe($this->get("/jobs/{$job->id}/plan.json")->getContent());
    $same = json_decode((string) json_encode(Demo::plan('fairlead-13')->toArray()), true);
    expect(json_decode($console, true)['steps'])->toHaveCount(count($same['steps']))
        ->and(json_decode($console, true)['layouts'])->toBe($same['layouts']);
});

it('keeps what was typed and says which field is wrong', function (array $input, string $field, string $sentence) {
    $typed = ['machine' => 'fair 13', 'title' => 'Kept <b>title</b>', ...$input];
    $response = $this->from('/jobs/new')
        ->post('/jobs', $typed)
        ->assertRedirect('/jobs/new')
        ->assertSessionHasErrors($field);
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
    $this->post('/jobs', [
        'machine' => 'laptop',
        'machine_title' => mb_substr($name, 0, 110),
        'title' => mb_substr($name, 0, 110),
        'owner' => '<img src=x onerror=alert(1)>',
        'image' => 'other',
        'system_name' => '<i>sys</i>',
        'image_name' => '"><svg onload=1>',
        'image_bytes' => '3 GB',
    ])
        ->assertSessionHasNoErrors();
    $job = Job::query()->firstOrFail();
    foreach (['', '/run', '/run?stone=target.erase', '/log', '/handover', '/paper', '/intake'] as $page) {
        $this->get("/jobs/{$job->id}{$page}")
            ->assertOk()
            ->assertDontSee('<script>alert', false)
            ->assertDontSee('<img src=x', false)
            ->assertDontSee('<svg onload', false)
            ->assertDontSee('<i>sys', false);
    }
    $this->get('/')->assertDontSee('<script>alert', false);
    $this->get('/find?q='.urlencode('<script>'))->assertDontSee('<script>alert', false);
});

it('takes duplicate serials, empty drives and negative sizes with a note, not a guess', function () {
    $this->post('/jobs', [
        'machine' => 'fair 13',
        'lsblk' => json_encode([
            'blockdevices' => [
                ['name' => 'sda', 'size' => 256060514304, 'type' => 'disk', 'serial' => 'SAME'],
                ['name' => 'sdb', 'size' => 256060514304, 'type' => 'disk', 'serial' => 'SAME'],
                ['name' => 'sdc', 'size' => 0, 'type' => 'disk'],
                ['name' => 'sdd', 'size' => -4, 'type' => 'disk'],
            ],
        ]),
    ])
        ->assertSessionHasNoErrors();
    $plan = Job::query()->firstOrFail()->currentPlan()->plan;
    expect(implode("\n", $plan['notes']))->toContain('same serial')->toContain('sdc: 0 bytes')->toContain('sdd')
        ->and($plan['verdict'])->toBe('hold');
});

it('never shows the last four of the target\'s serial', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    foreach (
        [
            '', '/run', '/run?stone=target.erase', '/run?stone=target.find', '/log', '/handover', '/paper', '/intake',
        ] as $page
    ) {
        $this->get("/jobs/{$job->id}{$page}")->assertOk()->assertDontSee('415D')->assertDontSee('88415');
    }
    foreach (['/', '/bell', '/jobs', '/logbook'] as $page) {
        $this->get($page)->assertDontSee('415D');
    }
});

it('lets the later of two people see what changed, and overwrites nothing', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $seen = $job->last_entry;
    $this->actingAs($this->people['evening'])
        ->post("/jobs/{$job->id}/steps/intake.take-in/done", [
            'seen' => $seen,
            'before_clock' => '1',
            'evidence' => ['condition' => 'clean', 'accessories' => 'charger'],
        ])
        ->assertRedirect();
    $late = $this->actingAs($this->people['lead'])->post(
        "/jobs/{$job->id}/steps/intake.take-in/problem",
        ['seen' => $seen, 'text' => 'the lid is cracked'],
    );
    $late->assertStatus(409)
        ->assertSee('Somebody was here before you')
        ->assertSee('evening technician')
        ->assertSee('the lid is cracked');
    expect(LogRecord::query()->where('kind', 'problem')->count())->toBe(0);
    $this->post("/jobs/{$job->id}/answers", ['seen' => $seen, 'facts' => ['drive.encryption' => 'none']])
        ->assertStatus(409);
    expect($job->refresh()->revision)->toBe(1);
    $this->post("/jobs/{$job->id}/steps/intake.take-in/note", ['seen' => $seen, 'text' => 'a note never collides'])
        ->assertRedirect();
    expect(LogRecord::query()->where('kind', 'note')->count())->toBe(1);
});

it('writes a log that only grows: the database refuses to change it', function (string $sql) {
    $this->jobFrom('fairlead-13', $this->people['lead']);
    Illuminate\Support\Facades\DB::statement($sql);
})
    ->with([
        "update log_entries set kind = 'done'", 'delete from log_entries', "update plans set reason = 'x'",
        'delete from plans',
    ])
    ->throws(Illuminate\Database\QueryException::class, 'permission denied');

it('stands after a power cut where its last log entry left it', function () {
    $job = $this->jobFrom('pocket-lantern', $this->people['lead']);
    ($this->act)($job, 'intake.take-in', 'done', ['evidence' => ['condition' => 'clean', 'accessories' => 'charger']]);
    ($this->act)($job, 'identify.look', 'start');
    $kept = $job->refresh()->summary;
    $job->update(['summary' => ['lost' => true]]);
    expect(app(App\Bridge\JobBridge::class)->summary(app(App\Bridge\JobBridge::class)->progress($job->refresh())))
        ->toBe($kept)
        ->and($kept['current']['id'])->toBe('identify.look')
        ->and($kept['current']['state'])->toBe('running');
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

it('counts the jobs of the list, and of a search only those that fit on its page', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $like = collect($job->getAttributes())->except(['id', 'stick_in_hand'])->all();
    foreach (range(1, 26) as $n) {
        DB::table('jobs')->insert([...$like, 'slot' => null, 'title' => "Mast desk {$n}"]);
    }
    $this->get('/jobs')->assertSee('<span class="goal">27</span>', false)->assertSee('Older')->assertDontSee('Newer');
    $this->get('/jobs?page=2')->assertSee('<span class="goal">27</span>', false)->assertSee('Newer')
        ->assertSee('crew laptop 4')->assertDontSee('Older');
    $this->get('/jobs?q=mast')->assertDontSee('class="goal"', false)->assertSee('q=mast&amp;page=2', false);
    $this->get('/jobs?q=mast&page=2')->assertDontSee('class="goal"', false)->assertSee('Mast desk 1<', false);
    $this->get('/jobs?q=crew')->assertSee('<span class="goal">1</span>', false)->assertDontSee('Mast');
});
