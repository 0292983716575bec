<?php

use App\Models\CatalogueEntry;
use App\Models\WayTrial;

beforeEach(fn () => jobAtHand($this, 'evening'));

it('shows the update path with its stops, and what is left out', function () {
    ($this->open)('firmware-update');
    $this->get("/jobs/{$this->job->id}/settings")
        ->assertOk()
        ->assertSee('About 21 min in all')
        ->assertSee('required stop')
        ->assertSee('nf13-116.cap')
        ->assertSee('hold F3 while plugging');
    ($this->open)('new-capstan');
    $this->get("/jobs/{$this->job->id}/settings")
        ->assertSee('is not known: read it in the setup')
        ->assertSee('bwk41-f10.bin');
    $brief = App\Documents\BriefDocument::fromFile(base_path('docs/guide/briefs/new-capstan.yaml'));
    $brief['machine']['facts'] = [
        ...($brief['machine']['facts'] ?? []),
        'firmware.version' => 'F9',
        'board.revision' => '2',
    ];
    $job = app(App\Actions\OpenJob::class)->handle($this->people['lead'], $brief);
    $this->get("/jobs/{$job->id}/settings")
        ->assertSee('the maker has withdrawn it')
        ->assertSee('without a reason no firmware is updated');
});

it('draws the ways in and grows sure with every try', function () {
    ($this->open)('fairlead-13');
    $page = "/jobs/{$this->job->id}/ways-in";
    $this->get($page)
        ->assertOk()
        ->assertSee('One-time menu')
        ->assertSee('Count with me')
        ->assertSee('94 %')
        ->assertSee('Where the stick goes')
        ->assertSee('this one');
    ($this->send)('ways-in', ['reaches' => 'menu', 'way' => 'tap F10', 'worked' => 'no'])->assertRedirect($page);
    $this->get($page)->assertSee('83 %');
    ($this->send)('ways-in', ['reaches' => 'menu', 'way' => 'tap F12', 'worked' => 'yes']);
    $this->get($page)->assertSeeInOrder(['Tap F10', 'Tap F12']);
    expect(WayTrial::query()->count())->toBe(2);
    ($this->send)('ways-in', ['reaches' => 'tea', 'way' => 'x', 'worked' => 'yes'])->assertSessionHasErrors('reaches');
    ($this->open)('cable-restore');
    $this->get("/jobs/{$this->job->id}/ways-in")
        ->assertSee('Recovery over a cable')
        ->assertSee('Let go when the lamp turns amber')
        ->assertSee('seen from behind');
    ($this->open)('unknown-laptop');
    $this->get("/jobs/{$this->job->id}/ways-in")->assertOk()->assertSee('a usual laptop')->assertDontSee('It worked');
    ($this->send)('ways-in', ['reaches' => 'menu', 'way' => 'tap F12', 'worked' => 'yes'])->assertStatus(422);
});

it('asks for a choice where medium and system contradict each other, and the rehearsal shows what comes of '
    .'it', function () {
        $brief = App\Documents\BriefDocument::fromFile(base_path('docs/guide/briefs/fairlead-13.yaml'));
        $brief['image'] = [
            'name' => 'old.img',
            'bytes' => 3_000_000_000,
            'kind' => 'raw',
            'loader' => ['signed' => false, 'uefi' => false, 'legacy' => true],
        ];
        $this->job = app(App\Actions\OpenJob::class)->handle($this->people['lead'], $brief);
        $this->get("/jobs/{$this->job->id}/settings")->assertSee('is needed in two ways');
        ($this->send)('answers', ['facts' => ['choice.boot_mode' => 'uefi']])->assertSessionHasNoErrors();
        $start = collect($this->job->refresh()->currentPlan()->plan['assessment']['rehearsal'])
            ->firstWhere('wants', 'installer');
        expect($start['outcome'])->toBe('loader-missing')->and($start['blocks'])->toBeTrue();
        $this->get("/jobs/{$this->job->id}/rehearsal")->assertSee('Loader missing');
    });

it('names catalogue faults by file and field', function () {
    $folder = sys_get_temp_dir().'/cobble-faults-'.bin2hex(random_bytes(4));
    Tests\Support\Workshop::says('cp', '-r', base_path('catalogue'), $folder);
    $file = "{$folder}/machines/norrel-fairlead-13.yaml";
    file_put_contents(
        $file,
        str_replace(
            ["requires: {boot_mode: uefi, older_devices: 'off'}", "from: '1.06'"],
            ["requires: {boot_mode: sideways, tea: 'off'}", "from: '1.20'"],
            (string) file_get_contents($file),
        ),
    );
    $faults = App\Catalogue\CatalogueFolder::read($folder)->faults();
    expect(implode("\n", $faults))
        ->toContain(
            'machines/norrel-fairlead-13.yaml: firmware.settings.2.requires.boot_mode: "sideways" is none of its '
                .'values',
        )
        ->toContain('firmware.settings.2.requires: this model has no setting "tea".')
        ->toContain('firmware.releases.1.from: 1.14 cannot be written over 1.20');
    Tests\Support\Workshop::says('rm', '-r', $folder);
    expect(CatalogueEntry::query()->where('kind', 'signers')->count())->toBe(2);
});

it('brings the timeline to the stone that begins with a key', function () {
    ($this->open)('fairlead-13');
    $this->get("/jobs/{$this->job->id}/run?stone=boot.start")
        ->assertOk()
        ->assertSee('Count with me')
        ->assertSee('Tap F10, twice a second');
    $this->get("/jobs/{$this->job->id}/run?stone=firmware.snapshot")->assertSee('Tap F2, twice a second');
    $this->get("/jobs/{$this->job->id}/run?stone=media.write")->assertDontSee('Count with me');
    ($this->open)('cable-restore');
    $this->get("/jobs/{$this->job->id}/run?stone=boot.recovery")->assertSee('Hold the round button');
    $this->get("/jobs/{$this->job->id}/settings")
        ->assertOk()
        ->assertSee('A sealed machine has no settings')
        ->assertDontSee('record it first');
});

it('says whether Secure Boot is in force, not only set', function () {
    ($this->open)('fairlead-13');
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('Secure Boot is not in force')->assertSee('It is off.');
    ($this->send)('settings', [
        'settings' => ['secure_boot' => 'on', 'older_devices' => 'off', 'boot_mode' => 'uefi', 'key_mode' => 'setup'],
    ])
        ->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('the machine stands in setup mode');
    ($this->send)('settings', ['settings' => ['key_mode' => 'factory', 'supervisor_password' => 'lost']])
        ->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('Secure Boot is in force');
    $this->get("/jobs/{$this->job->id}")->assertSee('supervisor password that nobody has');
});
