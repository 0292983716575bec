<?php

use App\Models\CatalogueEntry;
use App\Models\Job;
use App\Models\LearnedFact;
use Cobblestone\Runbook\JobKind;
use Illuminate\Http\UploadedFile;
use Tests\Support\Bundles;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->post_ = fn (string $path, array $data = []) => $this->post("/jobs/{$this->job->id}/{$path}", [
        'seen' => $this->job->refresh()->last_entry,
        ...$data,
    ]);
});

function upload(string $fixture): UploadedFile
{
    return UploadedFile::fake()->createWithContent($fixture, Bundles::fixture($fixture));
}

it('reads uploaded files into the job, shows contradictions and lets a person settle them', function () {
    ($this->post_)('readings', [
        'files' => [upload('lshw-new.json'), upload('dmidecode-new.txt')],
    ])->assertSessionHasNoErrors();
    expect($this->job->refresh()->revision)
        ->toBe(2)
        ->and($this->job->machine_serial)
        ->toBe('NF13-77120453');
    $page = $this->get("/jobs/{$this->job->id}/intake")
        ->assertOk()
        ->assertSee('What sources say differently')
        ->assertSee('waits for you')
        ->assertSee('8.0 GiB')
        ->assertSee('16.0 GiB');
    $open = array_values(
        array_filter(
            $this->job->currentPlan()->plan['assessment']['contradictions'],
            fn ($one) => $one['settled_by'] === null,
        ),
    );
    expect(array_column($open, 'fact'))
        ->toBe(['memory_bytes'])
        ->and($open[0]['kept']['value'])
        ->toBe(8589934592);
    ($this->post_)('settle', ['fact' => 'memory_bytes', 'value' => '17179869184'])->assertSessionHasNoErrors();
    $plan = $this->job->refresh()->currentPlan()->plan;
    $settled = array_column($plan['assessment']['contradictions'], null, 'fact')['memory_bytes'];
    expect($settled['settled_by'])
        ->toBe('person')
        ->and($settled['kept']['value'])
        ->toBe(17179869184)
        ->and($settled['set_aside']['value'])
        ->toBe(8589934592)
        ->and(array_column($plan['facts'], 'value', 'name')['memory_bytes'])
        ->toBe(17179869184);
});

it('changes nothing when the same is read twice', function () {
    ($this->post_)('readings', ['files' => [upload('lshw-new.json'), upload('smartctl-nvme.json')]]);
    $revision = $this->job->refresh()->revision;
    ($this->post_)('readings', ['files' => [upload('lshw-new.json'), upload('smartctl-nvme.json')]])->assertRedirect(
        "/jobs/{$this->job->id}/intake",
    );
    expect($this->job->refresh()->revision)->toBe($revision);
    $this->followingRedirects();
    ($this->post_)('readings', ['output' => Bundles::fixture('lshw-old.json')])
        ->assertSee('Nothing new was read')
        ->assertSee('nothing has changed');
});

it('keeps two health readings of one drive and sees what rises', function () {
    $ata = fn (int $count, int $time) => (string) json_encode([
        'smartctl' => ['version' => [7, 3]],
        'local_time' => ['time_t' => $time],
        'model_name' => 'Saltmarsh NV-3',
        'serial_number' => 'SM3-2207-88415D',
        'ata_smart_attributes' => ['table' => [['id' => 5, 'raw' => ['value' => $count]]]],
        'smart_status' => ['passed' => true],
    ]);
    ($this->post_)('readings', ['output' => $ata(8, 1795000000)]);
    expect($this->job->refresh()->currentPlan()->plan['assessment']['health'][0]['grade'])->toBe('watch');
    ($this->post_)('readings', ['output' => $ata(9, 1795500000)]);
    $plan = $this->job->refresh()->currentPlan()->plan;
    expect($plan['assessment']['health'][0]['grade'])
        ->toBe('replace')
        ->and($plan['verdict'])
        ->toBe('stop')
        ->and($plan['blockers'][0]['reason'])
        ->toContain('is failing');
});

it('refuses what cannot be read, keeps what was typed and touches nothing', function (array $data, string $sentence) {
    $data['files'] = array_map(
        fn (string $name, string $text) => UploadedFile::fake()->createWithContent($name, $text),
        array_keys($data['files'] ?? []),
        $data['files'] ?? [],
    );
    $before = $this->job->refresh()->brief;
    $this->from("/jobs/{$this->job->id}/intake")->followingRedirects();
    $page = ($this->post_)('readings', $data)->assertSee($sentence, false);
    $typed = trim($data['output'] ?? '');
    // A text of megabytes is let go, and said to be; everything else stands where it was typed.
    $page->assertSee(strlen($typed) > 65_536 ? '></textarea>' : ">{$typed}</textarea>", false);
    expect($this->job->refresh()->brief)
        ->toBe($before)
        ->and($this->job->revision)
        ->toBe(1);
})->with([
    'nothing' => [['output' => ' '], 'Choose a bundle or files'],
    'prose' => [['output' => 'hello there'], 'This is not the output of a tool'],
    'too much' => [['output' => str_repeat('x', 4_000_001)], 'it was let go'],
    'noise' => [['files' => ['n.bin' => "\xff\x00\xfe\x01"]], 'Left out:'],
    'script' => [
        ['files' => ['<script>alert(1)</script>.txt' => 'nothing']],
        '&quot;script&gt;.txt&quot;: this is not the output',
    ],
]);

it('takes another architecture\'s output as a contradiction, not as the truth without a word', function () {
    ($this->post_)('readings', [
        'output' => "cobblestone-collect 1\ntime: 2026-11-24T10:00:00Z\narchitecture: aarch64\nefi folder: present\n",
    ]);
    $plan = $this->job->refresh()->currentPlan()->plan;
    expect($plan['verdict'])
        ->toBe('stop')
        ->and($plan['blockers'][0]['reason'])
        ->toContain('made for arm-64')
        ->and(array_column($plan['assessment']['contradictions'], 'fact'))
        ->toContain('architecture');
});

it('reads another tool where lsblk was expected', function () {
    $this->post('/jobs', [
        'machine' => 'd 13',
        'lsblk' => Bundles::fixture('dmidecode-new.txt'),
    ])->assertSessionHasNoErrors();
    $job = Job::query()->latest('id')->firstOrFail();
    expect(array_column($job->currentPlan()->plan['facts'], 'value', 'name')['memory_bytes'])
        ->toBe(8589934592)
        ->and($job->machine_serial)
        ->toBe('NF13-77120453');
});

it('keeps a fact for the model, and the lead takes it into the catalogue', function () {
    ($this->post_)('readings', ['files' => [upload('lshw-new.json')]]);
    ($this->post_)('learn', ['fact' => 'memory_bytes'])->assertSessionHasNoErrors();
    ($this->post_)('learn', ['fact' => 'memory_bytes']);
    ($this->post_)('learn', ['fact' => 'machine.serial'])->assertSessionHasErrors('facts');
    ($this->post_)('learn', ['fact' => 'drive.encryption'])->assertSessionHasErrors('facts');
    expect(LearnedFact::query()->count())->toBe(1);
    $fact = LearnedFact::query()->firstOrFail();
    $fact->update(['value' => '8589934592']);
    $this->actingAs($this->people['evening'])
        ->post("/learned/{$fact->id}", ['decision' => 'taken'])
        ->assertForbidden();
    $this->actingAs($this->people['lead'])
        ->get('/learned')
        ->assertSee('norrel-fairlead-13')
        ->assertSee('Into the catalogue');
    $this->post("/learned/{$fact->id}", ['decision' => 'taken'])->assertRedirect('/learned');
    expect(CatalogueEntry::query()->where('slug', 'norrel-fairlead-13')->firstOrFail()->document['memory_bytes'])
        ->toBe(8589934592)
        ->and($fact->refresh()->decision)
        ->toBe('taken');
    $this->get('/learned')->assertSee('Nothing waits for you');
});

it('opens every kind of job from the form', function (JobKind $goal) {
    $given = [
        'machine' => $goal === JobKind::CableRestore ? 'block' : 'd 13',
        'goal' => $goal->value,
        'update_reason' => 'new dock',
        'card_new' => 'Ostler G9',
    ];
    if (! $goal->rules()->wantsImage()) {
        $given['system_id'] = 'tansy-desktop-7';
    }
    $this->post('/jobs', $given)->assertSessionHasNoErrors();
    $job = Job::query()->latest('id')->firstOrFail();
    expect($job->currentPlan()->plan['job']['goal'])
        ->toBe($goal->value)
        ->and($job->summary['total'])
        ->toBeGreaterThan(4);
    foreach (
        ['', '/assessment', '/run', '/intake', '/memory', '/backup', '/keys', '/log', '/handover', '/paper'] as $page
    ) {
        $this->get("/jobs/{$job->id}{$page}")->assertOk();
    }
    // The kind of a job can be changed, and what was typed for it stays.
    $this->post("/jobs/{$job->id}/intake", [
        'seen' => $job->refresh()->last_entry,
        'machine' => $given['machine'],
        'goal' => $goal->value,
        'owner' => 'the crew office',
    ])->assertSessionHasNoErrors();
    expect($job->refresh()->currentPlan()->plan['job']['owner'])->toBe('the crew office');
})->with(JobKind::cases());

it('makes a stick for any machine from one word', function () {
    $this->post('/jobs', [
        'machine' => 'any',
        'goal' => 'media-only',
        'image' => 'orrin-desktop-3',
    ])->assertSessionHasNoErrors();
    expect(Job::query()->latest('id')->firstOrFail()->summary['total'])->toBe(6);
});

it('says beside its field what a kind of job still wants', function (array $given, string $field) {
    $this->post('/jobs', $given)->assertSessionHasErrors($field);
})->with([
    [['machine' => 'd 13', 'goal' => 'card-swap'], 'card_new'],
    [['machine' => 'laptop', 'goal' => 'repair'], 'system_name'],
    [['machine' => 'd 13', 'goal' => 'dance'], 'goal'],
    [['machine' => 'd 13', 'goal' => 'card-swap', 'card_new' => 'x', 'card_watts' => 'many'], 'card_watts'],
]);

it('takes in where an image comes from that is not the publisher\'s own, and stops until it is allowed', function () {
    $sent = [
        'machine' => 'Capstan T3', 'image' => 'other', 'system_name' => 'Skerry, trimmed', 'image_bytes' => '3 GB',
        'image_origin' => 'modified', 'goal' => 'clean-install',
    ];
    $this->post('/jobs', $sent)->assertSessionHasErrors('image_from');
    $this->post('/jobs', [...$sent, 'image_from' => 'a collectors\' page'])->assertSessionHasNoErrors();
    $plan = App\Models\Job::query()->latest('id')->firstOrFail()->currentPlan()->typed();
    expect(array_map(fn ($one) => $one->id, $plan->blockers))->toContain('image-policy');
});
