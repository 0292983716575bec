<?php

use App\Models\Job;
use App\Models\PathRevision;
use Symfony\Component\Yaml\Yaml;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->brief = fn (Job $job): array => Yaml::parse((string) $job->refresh()->brief);
    $this->edit = fn (Job $job, array $typed) => $this->from("/jobs/{$job->id}/intake")->post(
        "/jobs/{$job->id}/intake",
        ['seen' => $job->refresh()->last_entry, 'machine' => 'Norrel Fairlead 13', ...$typed],
    );
});

it('keeps every block that the form does not show when the intake is edited', function () {
    $given = Yaml::parseFile(base_path('docs/guide/briefs/fairlead-13.yaml'));
    $given = [
        ...$given,
        'seen' => [['step' => 'boot.start', 'outcome' => 'silent']],
        'sticks' => ['tern-64'],
        'memory' => ['modules' => ['M1' => 8], 'slots' => ['A'], 'profile' => 'standard', 'tests' => []],
        'policy' => ['boot' => 'permanent-order'],
        'depends' => ['rota program'],
        'card' => ['new' => 'X', 'rest_w' => 40],
        'update' => ['reason' => 'r', 'on_stick' => 'f.bin'],
        'backup' => [
            ...$given['backup'],
            'excluded' => ['downloads'],
            'source_mb_s' => 80,
            'existing' => ['date' => '2026-11-01', 'proven' => false],
        ],
    ];
    $job = app(App\Actions\OpenJob::class)->handle($this->people['lead'], $given);
    $before = ($this->brief)($job);
    ($this->edit)($job, ['title' => 'Another title'])->assertSessionHasNoErrors();
    $after = ($this->brief)($job);
    unset($before['title'], $before['read_at'], $after['title'], $after['read_at']);
    ksort($before);
    ksort($after);
    expect($after)->toEqual($before)->and($job->refresh()->title)->toBe('Another title');
    $this->get("/jobs/{$job->id}/intake")
        ->assertOk()
        ->assertSee('Said in the brief')
        ->assertSee('only these sticks: tern-64')
        ->assertSee('one start that went otherwise');
});

it('says in the form what a brief can say, and takes out what was emptied', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->edit)($job, [
        'policy_boot' => 'permanent-order',
        'existing_date' => '2026-11-20',
        'existing_proven' => 'yes',
        'existing_samples' => '3',
        'card_new' => 'X',
        'card_leads' => '8-pin, 6-pin',
        'excluded' => 'downloads',
        'facts' => ['hub.at_hand' => 'yes', 'battery.percent' => '80'],
    ])->assertSessionHasNoErrors();
    expect(($this->brief)($job))
        ->toMatchArray([
            'policy' => ['boot' => 'permanent-order'],
            'card' => ['new' => 'X', 'leads' => ['8-pin', '6-pin']],
        ])
        ->and(($this->brief)($job)['backup']['existing'])
        ->toBe(['date' => '2026-11-20', 'proven' => true, 'samples' => 3])
        ->and(($this->brief)($job)['machine']['facts'])
        ->toMatchArray(['hub.at_hand' => 'yes', 'battery.percent' => '80']);
    $plan = $job->refresh()->currentPlan()->plan;
    expect(array_column($plan['steps'], 'id'))->not->toContain('protect.back-up')->toContain('protect.check-backup');
    ($this->edit)($job, [
        'policy_boot' => '',
        'existing_date' => '',
        'card_new' => 'X',
        'card_leads' => 'none',
    ])->assertSessionHasNoErrors();
    expect(($this->brief)($job))
        ->not->toHaveKey('policy')
        ->and(($this->brief)($job)['card']['leads'])
        ->toBe([]);
    ($this->edit)($job, ['card_leads' => 'two of them'])->assertSessionHasErrors('card_leads');
    ($this->edit)($job, ['existing_date' => 'last week'])->assertSessionHasErrors('existing_date');
});

it('turns a path into the drive it named, and keeps it when a reading numbers otherwise', function () {
    $job = $this->jobFrom('capstan-t3', $this->people['lead']);
    expect(($this->brief)($job)['machine']['facts'])
        ->toMatchArray(['target.drive' => 'SM5-2301-10C7F2'])
        ->not->toHaveKey('target.path');
    $lsblk = str_replace(
        ['nvme0n1', '"sda"'],
        ['nvme9n1', '"nvme0n1"'],
        (string) Yaml::parseFile(base_path('docs/guide/briefs/capstan-t3.yaml'))['machine']['lsblk'],
    );
    $this->post("/jobs/{$job->id}/readings", [
        'seen' => $job->refresh()->last_entry,
        'output' => $lsblk,
    ])->assertSessionHasNoErrors();
    $erase = collect($job->refresh()->currentPlan()->plan['steps'])->firstWhere('id', 'target.erase');
    expect($erase['confirmation']['serial'])->toBe('SM5-2301-10C7F2');
});

it('writes times with their zone and counts days as the bench does', function (
    string $utc,
    string $stamp,
    string $day,
) {
    config(['cobblestone.timezone' => 'Europe/Lisbon']);
    $this->travelTo($utc);
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    ($this->edit)($job, ['owner' => 'somebody else'])->assertSessionHasNoErrors();
    expect(($this->brief)($job)['read_at'])
        ->toBe($stamp)
        ->and(substr($stamp, 0, 10))
        ->toBe($day)
        ->and(App\View\Words::moment($stamp))
        ->toBe(substr($stamp, 11, 5));
})->with([
    'summer, after midnight there' => ['2026-07-01 23:30:00', '2026-07-02T00:30+01:00', '2026-07-02'],
    'winter' => ['2026-12-01 23:30:00', '2026-12-01T23:30+00:00', '2026-12-01'],
]);

it('says of a plan that was mended that its stop is gone', function () {
    $given = Yaml::parseFile(base_path('docs/guide/briefs/card-swap.yaml'));
    $given['card']['leads'] = [];
    $job = app(App\Actions\OpenJob::class)->handle($this->people['lead'], $given);
    expect($job->summary['verdict'])->toBe('stop');
    $this->from("/jobs/{$job->id}/intake")
        ->followingRedirects()
        ->post("/jobs/{$job->id}/intake", [
            'seen' => $job->refresh()->last_entry,
            'machine' => 'Capstan T3',
            'goal' => 'card-swap',
            'card_new' => $given['card']['new'],
            'card_leads' => '8-pin, 8-pin',
        ])
        ->assertSee('open again')
        ->assertSee('The power leads are not enough')
        ->assertDontSee('The path is the same as before');
    expect($job->refresh()->summary['verdict'])
        ->toBe('go')
        ->and(PathRevision::query()->latest('id')->first()->difference['opened'])
        ->toHaveCount(1);
});

it('takes an answer at the stone it shuts, and comes back to it', function () {
    $job = $this->jobFrom('repair', $this->people['lead']);
    $this->get("/jobs/{$job->id}/run?stone=route.startup-repair-0")
        ->assertOk()
        ->assertSee('Needs an answer')
        ->assertSee('Does its recovery environment open?')
        ->assertSee('name="facts[recovery.environment]"', false);
    $this->post("/jobs/{$job->id}/answers", [
        'seen' => $job->refresh()->last_entry,
        'stone' => 'route.startup-repair-0',
        'facts' => ['recovery.environment' => 'yes'],
    ])->assertRedirect("/jobs/{$job->id}/run?stone=route.startup-repair-0");
    $this->get("/jobs/{$job->id}/run?stone=route.startup-repair-0")->assertDontSee('Needs an answer');
});

it('records settings at the stone itself, and lays nothing for an empty form', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    foreach (
        [
            'intake.take-in',
            'identify.look',
            'protect.owner-word',
            'protect.back-up',
            'protect.check-backup',
            'protect.shut-down',
        ] as $step
    ) {
        $progress = app(App\Bridge\JobBridge::class)->progress($job->refresh());
        $this->post("/jobs/{$job->id}/steps/{$step}/done", [
            'seen' => $job->last_entry,
            'before_clock' => '1',
            'evidence' => Cobblestone\Runbook\WalkThrough::evidence(
                $progress->plan->step($step),
                $progress->evidence(),
            ),
        ])->assertSessionHasNoErrors();
    }
    $send = fn (array $evidence) => $this->post("/jobs/{$job->id}/steps/firmware.snapshot/done", [
        'seen' => $job->refresh()->last_entry,
        'before_clock' => '1',
        'evidence' => $evidence,
    ]);
    $send([])->assertSessionHasErrors('set_boot_mode');
    expect(App\Models\FirmwareSnapshot::query()->count())->toBe(0);
    $settings = array_column(
        collect($job->refresh()->currentPlan()->plan['steps'])->firstWhere('id', 'firmware.snapshot')['evidence'],
        null,
        'id',
    );
    $send(
        ['set_secure_boot' => 'on', 'set_boot_mode' => 'uefi'] +
            array_map(fn (array $wanted) => array_key_first($wanted['options']), $settings),
    )->assertSessionHasNoErrors();
    expect(App\Models\FirmwareSnapshot::query()->firstOrFail()->settings)
        ->toMatchArray(['secure_boot' => 'on', 'boot_mode' => 'uefi'])
        ->and(($this->brief)($job)['machine']['facts'])
        ->toMatchArray(['firmware.secure_boot' => 'on'])
        ->and($job->refresh()->revision)
        ->toBe(2);
});

it('refuses a length that is none, keeps what was typed, and opens what holds it', function () {
    $lead = App\Models\User::query()->where('login', 'lead')->firstOrFail();
    $before = App\Models\Job::query()->count();
    $this->actingAs($lead)->from('/jobs/new')->followingRedirects()->post('/jobs', [
        'machine' => 'Brackwater Capstan T3', 'goal' => 'card-swap', 'system' => 'tansy-desktop-7',
        'title' => 'odd', 'owner' => 'me', 'card_new' => 'Fennick G8', 'facts' => ['card.length_mm' => '285 mm'],
    ])
        ->assertSee('"285 mm" is no number of 0 or more, as length of the new card, mm is.')
        ->assertSee('value="285 mm"', false);
    expect(App\Models\Job::query()->count())->toBe($before);
});
