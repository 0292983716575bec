<?php

use App\Actions\OpenJob;
use App\Models\Job;
use Symfony\Component\Yaml\Yaml;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->open = function (string $brief, array $changes): Job {
        return app(OpenJob::class)
            ->handle(
                $this->people['lead'],
                array_replace_recursive(Yaml::parseFile(base_path("docs/guide/briefs/{$brief}.yaml")), $changes),
            )
            ->refresh();
    };
});

it('says at a free stone what is shut further on, and no more once the intake is changed', function () {
    $job = ($this->open)('card-swap', ['card' => ['supply_w' => 450]]);
    $this->get("/jobs/{$job->id}/run")
        ->assertOk()
        ->assertSee('Further on, ', false)
        ->assertSee('stop: The power supply is too small')
        ->assertSee('?stone=network.offline', false);
    $this->get("/jobs/{$job->id}/run?stone=hardware.swap-card")
        ->assertOk()
        ->assertDontSee('Further on, ', false)
        ->assertSee('Stop: The power supply is too small')
        ->assertSee('card 220 W; processor 105 W; rest 75 W; supply 450 W');
    $this->get("/jobs/{$job->id}")->assertSee('Stop: it cannot work like this');
    $this->get('/')->assertSee('stop: The power supply is too small');
    $this->post("/jobs/{$job->id}/intake", [
        'seen' => $job->last_entry,
        'machine' => 'Brackwater Capstan T3',
        'card_new' => 'Ostler G9 graphics card',
        'card_watts' => '220',
        'card_processor_w' => '105',
        'card_supply_w' => '650',
        'card_leads' => '8-pin, 8-pin',
    ])->assertSessionHasNoErrors();
    $this->get("/jobs/{$job->id}/run")
        ->assertOk()
        ->assertDontSee('Further on, ', false);
});

it('shows what an answer changes before what has to be proven', function () {
    $job = $this->jobFrom('unknown-laptop', $this->people['lead']);
    $this->get("/jobs/{$job->id}/run?stone=target.erase")
        ->assertOk()
        ->assertSeeInOrder([
            'Does anything on this machine have to be kept?',
            'Which drive is inside?',
            'Hold: Backup verified, or waived in writing',
        ]);
});

it('refuses a shut stone whatever is posted, and says why', function () {
    $job = ($this->open)('card-swap', ['card' => ['supply_w' => 450]]);
    $this->from("/jobs/{$job->id}/run")
        ->post("/jobs/{$job->id}/steps/hardware.swap-card/done", [
            'seen' => $job->last_entry,
            'before_clock' => '1',
            'evidence' => ['screws_out' => '2 × short'],
        ])
        ->assertSessionHasErrors();
    expect($job->entries()->where('step', 'hardware.swap-card')->count())->toBe(0);
});

it('lists at a stone ahead what will be asked, and at a laid one what was written and found', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->get("/jobs/{$job->id}/run?stone=proof.readings")
        ->assertOk()
        ->assertSee('To write down here')
        ->assertSee('Memory that the system can use');
    $this->post("/jobs/{$job->id}/steps/intake.take-in/done", [
        'seen' => $job->last_entry,
        'before_clock' => '1',
        'evidence' => ['condition' => 'a dent <b>', 'accessories' => 'charger'],
    ])->assertSessionHasNoErrors();
    $this->get("/jobs/{$job->id}/run?stone=intake.take-in")
        ->assertOk()
        ->assertSee('Written down')
        ->assertSee('a dent <b>')
        ->assertDontSee('a dent <b>', false)
        ->assertDontSee('To write down here');
    $this->get("/jobs/{$job->id}/run")
        ->assertOk()
        ->assertDontSee('To write down here');
});

it('says of a job that cannot be that there is nothing here', function (string $id) {
    $this->get("/jobs/{$id}")->assertNotFound();
    $this->get("/jobs/{$id}/run")->assertNotFound();
})->with(['unknown-laptop', '99999999999999999999', '999999', '1e3', '-1']);
