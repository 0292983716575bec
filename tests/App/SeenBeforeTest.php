<?php

use App\Models\Job;
use Illuminate\Http\UploadedFile;
use Symfony\Component\Yaml\Yaml;
use Tests\Support\Bundles;

beforeEach(function () {
    jobAtHand($this, 'lead');
    ($this->open)('fairlead-13');
});

it('says how often a machine was here before, at intake and on its job', function () {
    $open = fn () => $this->post('/jobs', ['machine' => 'd 13', 'facts' => ['machine.serial' => 'NF13-77120453']]);
    $read = UploadedFile::fake()->createWithContent('d.txt', Bundles::fixture('dmidecode-new.txt'));
    ($this->send)('readings', ['files' => [$read]]);
    $seen = fn (string $serial, array $more = []) => $this
        ->post('/jobs/seen', ['facts' => ['machine.serial' => $serial], ...$more])
        ->assertOk();
    $seen(' nf13-77120453 ')->assertSee('Seen here before: once.')->assertSee("/jobs/new?again={$this->job->id}");
    foreach (['NF13-7712045', '', 'To be filled by O.E.M.', '%'] as $other) {
        $seen($other)->assertDontSee('Seen here before');
    }
    $open()->assertSessionHasNoErrors();
    $again = Job::query()->latest('id')->firstOrFail();
    $this->get("/jobs/{$again->id}")
        ->assertSee('Seen here before: once.')
        ->assertSee(sprintf('job %04d', $this->job->id))
        ->assertDontSee('begin with this machine');
    $this->get("/jobs/{$this->job->id}")->assertDontSee('Seen here before');
    $seen('NF13-77120453')->assertSee('Seen here before: twice.');
    $seen('NF13-77120453', ['job' => $again->id])->assertSee('Seen here before: once.');
    array_map(static fn () => $open(), range(1, 4));
    $this->post('/jobs/seen', ['facts' => ['machine.serial' => ['x']]])->assertRedirect();
    $seen('NF13-77120453')->assertSee('Seen here before: 6 times.')->assertSee('and 1 more');
});

it('begins a job with a machine that was here before, and with nothing that stood on it', function () {
    $this->post('/jobs', [
        'machine' => 'laptop', 'machine_title' => 'Grey one', 'usb_c' => 3, 'owner' => 'the quay office',
        'image' => 'other', 'image_name' => 'quay.iso', 'system_name' => 'Quay', 'image_bytes' => '2 GB',
        'facts' => ['machine.serial' => 'GR-1', 'drive.encryption' => 'passphrase'],
    ])->assertSessionHasNoErrors();
    $first = Job::query()->latest('id')->firstOrFail();
    $this->get("/jobs/new?again={$first->id}")
        ->assertOk()
        ->assertSee('value="laptop"', false)->assertSee('value="Grey one"', false)
        ->assertSee('value="GR-1"', false)->assertSee('value="the quay office"', false)
        ->assertDontSee('quay.iso');
    $this->post('/jobs', [
        'again' => $first->id, 'machine' => 'laptop', 'machine_title' => 'Grey one', 'usb_c' => 3,
        'image' => 'other', 'image_name' => 'new.iso', 'system_name' => 'Quay', 'image_bytes' => '2 GB',
    ])->assertSessionHasNoErrors();
    $brief = Yaml::parse(Job::query()->latest('id')->firstOrFail()->brief);
    expect($brief['machine']['facts'])->toBe(['machine.serial' => 'GR-1'])
        ->and($brief['owner'])->toBe('the quay office');
    foreach (['99999', 'x', '-1', '1e9'] as $none) {
        $this->get("/jobs/new?again={$none}")->assertOk()->assertDontSee('The machine of');
    }
    $first->forceFill(['contents_removed_at' => now()])->save();
    $this->get("/jobs/new?again={$first->id}")->assertOk()->assertDontSee('The machine of');
});
