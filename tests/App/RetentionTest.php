<?php

use App\Database\LogChain;
use App\Models\BenchEvent;
use App\Models\FirmwareSnapshot;
use App\Models\LogRecord;
use App\Models\PathRevision;
use App\Models\ProvingStart;
use App\Models\SealedKey;
use App\Retention\Due;
use App\Retention\RemoveContents;
use App\Retention\RetentionDays;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->people = $this->bench();
    config([
        'cobblestone.photos' => ($this->photos = sys_get_temp_dir().'/cobble-keep-'.bin2hex(random_bytes(4))),
    ]);
    mkdir($this->photos);
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
    LogRecord::query()->create([
        'job_id' => $this->job->id,
        'user_id' => $this->people['lead']->id,
        'revision' => 1,
        'role' => 'lead',
        'kind' => 'note',
        'data' => ['text' => 'SECRET-WORDS of the owner'],
        'created_at' => now(),
    ]);
    file_put_contents("{$this->photos}/p.jpg", 'x');
    FirmwareSnapshot::query()->create([
        'job_id' => $this->job->id,
        'user_id' => $this->people['lead']->id,
        'settings' => ['secure_boot' => 'on'],
        'origin' => 'paste',
        'pasted' => 'SECRET-PASTE',
        'photo' => 'p.jpg',
        'notes' => [],
        'created_at' => now(),
    ]);
    SealedKey::query()->create([
        'job_id' => $this->job->id,
        'kind' => 'recovery',
        'label' => 'SECRET-LABEL',
        'sealed' => 'k',
        'user_id' => $this->people['lead']->id,
        'expires_at' => now()->addDays(3),
    ]);
    $this->hand = fn () => $this->job->refresh()->update(['status' => 'handed-over', 'handed_over_at' => now()]);
    $this->actingAs($this->people['lead']);
});

afterEach(function () {
    array_map(unlink(...), glob("{$this->photos}/*") ?: []);
    rmdir($this->photos);
});

it('has nothing due while a machine is here, and each kind when its days are over', function () {
    $this->travel(400)->days();
    expect(Due::words())->toBe([]);
    $this->travelBack();
    ($this->hand)();
    $kinds = fn (): array => array_column(Due::words(), 'what');
    expect($kinds())->toBe([]);
    $this->travel(91)->days();
    expect($kinds())->toBe(['photos']);
    $this->travel(90)->days();
    expect($kinds())->toBe(['photos', 'owner']);
    $this->get('/')->assertOk()->assertSee('Due to be deleted');
    $this->actingAs($this->people['evening'])->get('/')->assertDontSee('Due to be deleted');
    $this->get('/retention')->assertForbidden();
});

it('removes what is the owner\'s, and leaves the chain whole', function () {
    ($this->hand)();
    $entries = LogRecord::query()->where('job_id', $this->job->id)->count();
    $this->travel(181)->days();
    $this->get('/retention')->assertOk()->assertSee(sprintf('%04d', $this->job->id));
    $this->post('/retention/delete', ['kind' => 'owner', 'up_to' => (string) $this->job->id])->assertRedirect(
        '/retention',
    );
    expect(LogRecord::query()->where('job_id', $this->job->id)->count())
        ->toBe($entries)
        ->and(LogChain::verify('log_entries'))
        ->toMatchArray(['faults' => [], 'removed' => $entries])
        ->and(is_file("{$this->photos}/p.jpg"))
        ->toBeFalse();
    foreach (['jobs', 'plans', 'log_entries', 'firmware_snapshots', 'sealed_keys'] as $table) {
        expect((string) json_encode(DB::select("select * from {$table}")))
            ->not->toContain('SECRET')
            ->not->toContain('Crew')
            ->not->toContain('lounge counter');
    }
    foreach (['', '/run', '/log', '/assessment', '/handover', '/plan.json', '/intake', '/rehearsal'] as $page) {
        expect($this->get("/jobs/{$this->job->id}{$page}")->status())->toBe(410);
    }
    foreach (['/', '/jobs', '/logbook', '/find?q=job', '/bell'] as $page) {
        $this->get($page)->assertOk();
    }
    $this->travel(1700)->days();
    $this->post('/retention/delete', ['kind' => 'jobs', 'up_to' => (string) $this->job->id])->assertRedirect();
    expect($this->job->refresh()->brief)
        ->toBe('')
        ->and(PathRevision::query()->where('job_id', $this->job->id)->count())
        ->toBe(1)
        ->and(Due::words())
        ->toBe([])
        ->and(BenchEvent::query()->where('kind', 'contents-removed')->count())
        ->toBe(2)
        ->and(LogChain::verify('bench_events')['faults'])
        ->toBe([]);
});

it('takes the pictures and drives of its proving starts along', function () {
    config(['cobblestone.state' => $state = sys_get_temp_dir().'/cobble-state-'.bin2hex(random_bytes(4))]);
    mkdir("{$state}/starts", 0777, true);
    $start = fn (?int $job): ProvingStart => ProvingStart::query()->create([
        'slug' => 'gull-32', 'title' => 'Gull 32', 'firmware' => 'uefi', 'state' => 'done', 'predicted' => 'starts',
        'job_id' => $job, 'user_id' => $this->people['lead']->id,
    ]);
    [$of, $other] = [$start($this->job->id), $start(null)];
    foreach ([$of, $other] as $one) {
        file_put_contents($one->picture(), 'x');
        file_put_contents($one->drive(), 'x');
    }
    app(RemoveContents::class)->handle($this->job, 'photos', null, 'asked for');
    expect(is_file($of->picture()))->toBeTrue();
    app(RemoveContents::class)->handle($this->job, 'owner', null, 'asked for');
    expect([is_file($of->picture()), is_file($of->drive())])->toBe([false, false])
        ->and([is_file($other->picture()), is_file($other->drive())])->toBe([true, true]);
    Illuminate\Support\Facades\File::deleteDirectory($state);
});

it('gives an owner everything that is kept, but no sealed key, and removes it on request', function () {
    $given = $this->get("/jobs/{$this->job->id}/data.json")
        ->assertOk()
        ->assertHeader('Content-Disposition');
    expect((string) $given->getContent())
        ->toContain('SECRET-WORDS')
        ->toContain('SECRET-PASTE')
        ->toContain(base64_encode('x'))
        ->and(json_decode((string) $given->getContent(), true)['keys'][0])
        ->toHaveKeys(['kind', 'label', 'kept_until'])
        ->not->toHaveKey('sealed');
    $this->post("/jobs/{$this->job->id}/forget", [
        'because' => 'the owner',
        'number' => (string) $this->job->id,
    ])->assertSessionHasErrors('number');
    ($this->hand)();
    $this->post("/jobs/{$this->job->id}/forget", [
        'because' => 'the owner',
        'number' => '99999',
    ])->assertSessionHasErrors('number');
    $this->post("/jobs/{$this->job->id}/forget", [
        'because' => '',
        'number' => (string) $this->job->id,
    ])->assertSessionHasErrors('because');
    $this->post("/jobs/{$this->job->id}/forget", [
        'because' => 'the owner asked',
        'number' => (string) $this->job->id,
    ])->assertRedirect();
    $this->get("/jobs/{$this->job->id}")
        ->assertStatus(410)
        ->assertSee('contents were removed');
    foreach (['walk', 'note', 'seen'] as $action) {
        $this->post("/jobs/{$this->job->id}/steps/protect.back-up/{$action}", ['text' => 'x', 'seen' => '0'])
            ->assertStatus(410)
            ->assertSee('contents were removed');
    }
    $other = $this->jobFrom('capstan-t3', $this->people['lead']);
    $this->actingAs($this->people['evening'])
        ->get("/jobs/{$other->id}/data.json")
        ->assertForbidden();
    $this->post("/jobs/{$other->id}/forget", ['because' => 'x', 'number' => (string) $other->id])->assertForbidden();
});

it('takes days within reason, conflicts visibly, and changes nothing on an empty post', function () {
    $seen = RetentionDays::present()->version();
    $days = ['keys' => '7', 'backups' => '14', 'photos' => '30', 'owner' => '60', 'jobs' => '400'];
    $this->post('/retention', [])->assertSessionHasErrors();
    $this->post('/retention', [...$days, 'as_seen' => $seen, 'keys' => '91'])->assertSessionHasErrors('retention');
    $this->post('/retention', [...$days, 'as_seen' => $seen, 'jobs' => '59'])->assertSessionHasErrors('retention');
    $this->post('/retention', [...$days, 'as_seen' => $seen, 'photos' => 'x'])->assertSessionHasErrors('photos');
    expect(RetentionDays::present()->version())->toBe($seen);
    $this->post('/retention', [...$days, 'as_seen' => $seen])->assertSessionHasNoErrors();
    $this->post('/retention', [...$days, 'as_seen' => $seen])->assertStatus(409);
    expect(RetentionDays::present()->days)->toBe(array_map(intval(...), $days));
});
