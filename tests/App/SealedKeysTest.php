<?php

use App\Models\BenchPolicy;
use App\Models\LogRecord;
use App\Models\SealedKey;
use Illuminate\Support\Facades\DB;

beforeEach(fn () => jobAtHand($this, 'lead', ['before_clock' => '1']));

it('keeps no key by default, and seals, shows, logs and forgets them where the policy allows', function () {
    ($this->open)('fairlead-13');
    ($this->send)('keys', ['kind' => 'recovery', 'label' => 'A1B2', 'secret' => '111111-222222'])->assertForbidden();
    BenchPolicy::query()->create(['schools' => ['keys' => 'sealed'], 'user_id' => $this->people['lead']->id]);
    ($this->send)('keys', ['kind' => 'recovery', 'label' => 'A1B2', 'secret' => 'x'])->assertSessionHasErrors('secret');
    ($this->send)('keys', ['kind' => 'recovery', 'label' => 'A1B2', 'secret' => '482913-771204'])
        ->assertSessionHasNoErrors();
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
    $this->call('POST', "/jobs/{$this->job->id}/keys/{$key->id}/show", server: ['REMOTE_ADDR' => '192.0.2.7'])
        ->assertForbidden();
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
        ($this->send)("steps/{$step['id']}/done", ['evidence' => ['shelved' => 'drawer two']])
            ->assertSessionHasNoErrors();
    }
    expect($this->job->refresh()->status)->toBe('handed-over')
        ->and(DB::table('sealed_keys')->value('sealed'))->toBeNull()
        ->and(SealedKey::query()->firstOrFail()->deleted_at)->not->toBeNull();
});
