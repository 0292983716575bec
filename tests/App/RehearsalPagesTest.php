<?php

use App\Models\BootObservation;
use App\Models\Job;
use App\Models\LogRecord;

beforeEach(fn () => jobAtHand($this, 'evening'));

it('shows every power-on with its crossing, and a failure with what is seen and the way out', function () {
    ($this->open)('fairlead-13');
    $this->get("/jobs/{$this->job->id}/rehearsal")
        ->assertOk()
        ->assertSee('All 6 come through')
        ->assertSee('to the installer on the stick')
        ->assertSee('It went otherwise')
        ->assertSee('Ground: standard');
    ($this->open)('locked-capstan');
    $this->get("/jobs/{$this->job->id}/rehearsal")
        ->assertSee('would not end where you want to be')
        ->assertSee('Secure Boot is in force')
        ->assertSee('Trust the loader\'s signer in the setup')
        ->assertSee('The same once more');
    $this->get("/jobs/{$this->job->id}?stone=boot.start")
        ->assertSee('Rehearsal says')
        ->assertSee('Hold: The rehearsal says: refused by Secure Boot');
    ($this->open)('unknown-laptop');
    $this->get("/jobs/{$this->job->id}/rehearsal")
        ->assertSee('It can also end in: refused by Secure Boot')
        ->assertSee('What settles it: <b>Secure Boot</b>', false)
        ->assertSee('If the processor');
    ($this->open)('stick-for-any');
    $this->get("/jobs/{$this->job->id}/rehearsal")
        ->assertSee('No power-on to rehearse')
        ->assertSee('UEFI, Secure Boot in force')
        ->assertSee('the old way (BIOS)');
});

it('keeps reality beside the prediction, computes the path again, and makes a quirk of the model', function () {
    ($this->open)('fairlead-13');
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 1, 'outcome' => 'stops-in-setup', 'of' => 'model'])
        ->assertSessionHasNoErrors()
        ->assertRedirect("/jobs/{$this->job->id}/rehearsal");
    $this->job->refresh();
    expect($this->job->revision)->toBe(2)
        ->and(BootObservation::query()->firstOrFail()->only(['wants', 'predicted', 'seen', 'of_model', 'model']))
        ->toBe([
            'wants' => 'installer',
            'predicted' => 'installer-starts',
            'seen' => 'stops-in-setup',
            'of_model' => true,
            'model' => 'norrel-fairlead-13',
        ])
        ->and(LogRecord::query()->where('kind', 'reality')->firstOrFail()->data['text'])
        ->toBe('Predicted: the installer starts. Seen: it stops in the setup. Said of the model.');
    $start = collect($this->job->currentPlan()->plan['assessment']['rehearsal'])->firstWhere('wants', 'installer');
    expect($start['outcome'])->toBe('stops-in-setup')
        ->and($start['ground'])->toBe('seen-here')
        ->and($start['blocks'])->toBeFalse();
    $this->get("/jobs/{$this->job->id}/rehearsal")
        ->assertSee('seen on this model once')
        ->assertSee('went otherwise: it stops in the setup')
        ->assertSee('Prediction against reality')
        ->assertSee('1 went otherwise at the machine');
    $this->get('/catalogue/machines/norrel-fairlead-13')
        ->assertSee('Seen on this model')
        ->assertSee('it stops in the setup');
    // Another job of that model is rehearsed with it; one of another model is not.
    $this->get("/jobs/{$this->jobFrom('firmware-update', $this->people['lead'])->id}/rehearsal")->assertOk();
    expect(
        collect($this->jobFrom('fairlead-13', $this->people['lead'])->currentPlan()->plan['assessment']['rehearsal'])
            ->firstWhere('wants', 'installer')['outcome'],
    )
        ->toBe('stops-in-setup')
        ->and(
            collect(
                $this->jobFrom('new-capstan', $this->people['lead'])->currentPlan()->plan['assessment']['rehearsal'],
            )
                ->firstWhere('wants', 'installer')['outcome'],
        )
        ->toBe('installer-starts');
    $this->get('/logbook')->assertSee('0 of 1')->assertSeeText('“the installer starts”', false);
});

it('keeps what happened this time for this job only, with the first thing to try on the stone', function () {
    ($this->open)('fairlead-13');
    ($this->send)('rehearsal', [
        'step' => 'boot.start',
        'number' => 1,
        'outcome' => 'no-bootable-device',
        'of' => 'this-time',
    ])
        ->assertSessionHasNoErrors();
    $plan = $this->job->refresh()->currentPlan()->plan;
    expect(collect($plan['assessment']['rehearsal'])->firstWhere('wants', 'installer')['outcome'])
        ->toBe('installer-starts')
        ->and(collect($plan['steps'])->firstWhere('id', 'boot.start')['instructions'][0])
        ->toStartWith('Last time: no bootable device. Not in the list, in this order: another port');
});

it('learns from a refusal: Secure Boot goes off for the stick, and back on after', function () {
    ($this->open)('unknown-laptop');
    $plan = fn (): array => $this->job->refresh()->currentPlan()->plan;
    expect(collect($plan()['decisions'])->firstWhere('id', 'firmware.secure-boot')['chosen'])->toBe('leave as it is');
    ($this->send)('rehearsal', [
        'step' => 'boot.start',
        'number' => 1,
        'outcome' => 'refused-by-secure-boot',
        'of' => 'this-time',
    ])
        ->assertSessionHasNoErrors();
    expect(collect($plan()['decisions'])->firstWhere('id', 'firmware.secure-boot')['chosen'])
        ->toBe('off for the stick, back on after')
        ->and(collect($plan()['steps'])->firstWhere('id', 'firmware.set')['rows'][0]['becomes'])->toBe('off')
        ->and(array_column($plan()['put_back'], 'id'))->toContain('secure-boot')
        ->and(collect($plan()['assessment']['rehearsal'])->firstWhere('wants', 'installer')['outcome'])
        ->toBe('installer-starts')
        ->and(
            array_values(array_filter(
                array_column($plan()['facts'], null, 'name'),
                fn ($fact) => $fact['name'] === 'firmware.secure_boot',
            ))[0]['value'],
        )
        ->toBe('on');
});

it('refuses what cannot be, in words, and lets a viewer only look', function () {
    ($this->open)('fairlead-13');
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 1, 'outcome' => 'tea', 'of' => 'model'])
        ->assertSessionHasErrors('outcome');
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 7, 'outcome' => 'silent', 'of' => 'model'])
        ->assertSessionHasErrors([
            'outcome' => 'This path has no such power-on any more. Look at it again and choose once more.',
        ]);
    ($this->send)('rehearsal', ['step' => '<b>', 'number' => 1, 'outcome' => 'silent', 'of' => 'model'])
        ->assertSessionHasErrors('step');
    $this->post("/jobs/{$this->job->id}/rehearsal", [
        'seen' => 0,
        'step' => 'boot.start',
        'number' => 1,
        'outcome' => 'silent',
        'of' => 'this-time',
    ])
        ->assertStatus(409);
    expect(BootObservation::query()->count())->toBe(0)->and($this->job->refresh()->revision)->toBe(1);
    $this->actingAs($this->people['viewer']);
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 1, 'outcome' => 'silent', 'of' => 'model'])
        ->assertForbidden();
    ($this->send)('settings', ['settings' => ['boot_mode' => 'uefi']])->assertForbidden();
    $this->get("/jobs/{$this->job->id}/rehearsal")->assertOk()->assertDontSee('It went otherwise');
    $this->get("/jobs/{$this->job->id}/settings")->assertOk()->assertDontSee('Record what is set');
});

it('counts a power-on as predicted once its stone is laid', function () {
    ($this->open)('cable-restore');
    $this->job->refresh();
    foreach ($this->job->currentPlan()->plan['steps'] as $step) {
        if ($step['id'] === 'boot.recovery') {
            App\Actions\RecordReality::laid($this->job, $this->people['evening'], 'boot.recovery');
            App\Actions\RecordReality::laid($this->job, $this->people['evening'], 'boot.recovery');
        }
    }
    expect(BootObservation::query()->get()->map->only(['step', 'predicted', 'seen'])->all())
        ->toBe([['step' => 'boot.recovery', 'predicted' => 'recovery-starts', 'seen' => 'recovery-starts']]);
    $this->get('/logbook')->assertDontSee('100 %')->assertSee('1 was laid with nothing said against the prediction');
    $this->get("/jobs/{$this->job->id}/rehearsal")
        ->assertSee('nothing said against it')
        ->assertSee('Nobody has said yet');
    $this->post("/jobs/{$this->job->id}/rehearsal", [
        'seen' => $this->job->refresh()->last_entry,
        'step' => 'boot.recovery',
        'number' => 1,
        'outcome' => 'recovery-starts',
        'of' => 'as-predicted',
    ])
        ->assertSessionHasNoErrors();
    $this->get('/logbook')->assertSee('100 %')->assertSee('1 of 1');
});

it('lets a predicted failure be overruled in writing', function () {
    ($this->open)('locked-capstan');
    $this->post("/jobs/{$this->job->id}/steps/boot.start/waive", [
        'seen' => $this->job->refresh()->last_entry,
        'gate' => 'rehearsal-boot.start-refused-by-secure-boot',
        'agreed_by' => 'bench lead',
        'text' => 'Its maker says the signer is in it.',
    ])
        ->assertSessionHasNoErrors();
    $waived = LogRecord::query()->where('kind', 'waived')->firstOrFail();
    expect($waived->data['text'])->toBe('Its maker says the signer is in it.')
        ->and($waived->data['gate'])->toBe('rehearsal-boot.start-refused-by-secure-boot');
    $this->get("/jobs/{$this->job->id}?stone=boot.start")->assertSee('waived');
});
