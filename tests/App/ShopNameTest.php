<?php

use App\Actions\DemoWorld;
use App\Actions\WalkStep;
use App\Bridge\JobBridge;
use App\Models\BenchEvent;
use App\Models\BenchSetting;
use App\Models\Erasure;
use App\Models\Job;
use Cobblestone\Runbook\WalkThrough;
use Illuminate\Support\Facades\File;

/** A job whose machine was taken in: only then there is a receipt. */
function takenIn(object $test): Job
{
    $job = $test->jobFrom('fairlead-13', $test->people['lead']);
    $step = app(JobBridge::class)->progress($job)->plan->steps[0];
    $evidence = ['evidence' => WalkThrough::evidence($step, []), 'before_clock' => '1'];
    app(WalkStep::class)->handle($job->id, $job->user, $step->id, 'done', $evidence, $job->last_entry);

    return $job->refresh();
}

beforeEach(function () {
    $this->people = $this->bench();
    $this->named = fn (string $name): string => hash('sha256', $name);
});

it('puts no name on a paper that nobody gave this shop', function () {
    $job = takenIn($this);
    $this->actingAs($this->people['lead']);
    foreach (['handover' => '<b>Handover sheet</b>', 'receipt' => '<b>Receipt</b>'] as $paper => $is) {
        $this->get("/jobs/{$job->id}/{$paper}")->assertOk()->assertSee($is, false)->assertDontSee('Quillport Ferry');
    }
    $this->get('/policy')->assertSee('Name of the shop')->assertSee('none so far');
});

it('puts the name on every paper that the lead gave it', function () {
    $job = takenIn($this);
    $this->actingAs($this->people['lead'])
        ->post('/policy/shop', ['shop' => "  Lantern  <Quay> Repairs \t", 'as_seen' => ($this->named)('')])
        ->assertSessionHasNoErrors()
        ->assertRedirect('/policy');
    foreach (['handover', 'receipt'] as $paper) {
        $this->get("/jobs/{$job->id}/{$paper}")->assertSee('Lantern <Quay> Repairs');
    }
    File::deleteDirectory(config('cobblestone.state').'/drives');
    $this->post('/erasures', ['drive' => 'saltmarsh-old', 'way' => 'sanitize', 'serial' => '30B9', 'seen' => '']);
    $this->get('/erasures/'.Erasure::query()->sole()->id)
        ->assertSee('Certificate of erasure')
        ->assertSee('Lantern <Quay> Repairs');
    File::deleteDirectory(config('cobblestone.state').'/drives');
    $event = BenchEvent::query()->where('kind', 'shop-named')->sole();
    expect($event->data)->toBe(['before' => ['name' => ''], 'after' => ['name' => 'Lantern <Quay> Repairs']])
        ->and($event->user_id)->toBe($this->people['lead']->id);
    $this->get('/policy')->assertSee('value="Lantern &lt;Quay&gt; Repairs"', false)->assertSee('Shop named');
});

it('refuses a name from who may not give it, of too many signs, or over another that came meanwhile', function () {
    $this->actingAs($this->people['evening'])->post('/policy/shop', ['shop' => 'Mine'])->assertForbidden();
    $this->actingAs($this->people['lead']);
    $seen = ['as_seen' => ($this->named)('')];
    $long = str_repeat('ä', 81);
    $this->from('/policy')->post('/policy/shop', ['shop' => $long, ...$seen])->assertSessionHasErrors('shop');
    $this->get('/policy')->assertSee($long);
    $this->post('/policy/shop', ['shop' => ['a'], ...$seen])->assertSessionHasErrors('shop');
    // A paper is read by people: nothing in it turns its words round or hides some.
    foreach (["Quay \u{202e}Lantern", "Quay\u{200b}Lantern", "Quay\u{0}Lantern"] as $hidden) {
        $this->from('/policy')->post('/policy/shop', ['shop' => $hidden, ...$seen]);
        expect(BenchSetting::read(BenchSetting::SHOP))->toBeNull();
    }
    $this->post('/policy/shop', ['shop' => 'First', ...$seen])->assertRedirect('/policy');
    $this->post('/policy/shop', ['shop' => 'Second', ...$seen])->assertStatus(409)->assertSee('First');
    $this->post('/policy/shop', ['shop' => 'Second'])->assertStatus(409);
    expect(BenchSetting::read(BenchSetting::SHOP))->toBe('First');
    // The same again is no change, and none at all takes the name off.
    $this->post('/policy/shop', ['shop' => 'First', 'as_seen' => ($this->named)('First')]);
    $this->post('/policy/shop', ['shop' => '', 'as_seen' => ($this->named)('First')])->assertSessionHasNoErrors();
    expect(BenchSetting::read(BenchSetting::SHOP))->toBe('')
        ->and(BenchEvent::query()->where('kind', 'shop-named')->count())->toBe(2);
});

it('is told of the demo world by the demo world', function () {
    expect(BenchSetting::read(BenchSetting::SHOP))->toBeNull();
    DemoWorld::nameShop();
    expect(BenchSetting::read(BenchSetting::SHOP))->toBe('Quillport Ferry Co-operative · device bench');
    $job = takenIn($this);
    $this->actingAs($this->people['lead'])->get("/jobs/{$job->id}/receipt")->assertSee('Quillport Ferry Co-operative');
});
