<?php

use App\Models\BootObservation;
use App\Models\CatalogueEntry;
use App\Models\FirmwareSnapshot;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\WayTrial;
use Illuminate\Http\UploadedFile;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    config(['cobblestone.photos' => $this->photos = sys_get_temp_dir().'/cobble-photos-'.bin2hex(random_bytes(4))]);
    $this->open = fn (string $brief): Job => $this->job = $this->jobFrom($brief, $this->people['lead']);
    $this->send = fn (string $path, array $data = []) => $this->post("/jobs/{$this->job->id}/{$path}", ['seen' => $this->job->refresh()->last_entry, ...$data]);
});
afterEach(function () {
    array_map(unlink(...), glob("{$this->photos}/*") ?: []);
    @rmdir($this->photos);
});

it('shows every power-on with its crossing, and a failure with what is seen and the way out', function () {
    ($this->open)('fairlead-13');
    $this->get("/jobs/{$this->job->id}/rehearsal")->assertOk()->assertSee('All 6 come through')->assertSee('to the installer on the stick')->assertSee('It went otherwise')->assertSee('Ground: standard');
    ($this->open)('locked-capstan');
    $this->get("/jobs/{$this->job->id}/rehearsal")->assertSee('would not end where you want to be')->assertSee('Secure Boot is in force')->assertSee('Trust the loader\'s signer in the setup')->assertSee('The same once more');
    $this->get("/jobs/{$this->job->id}?stone=boot.start")->assertSee('Rehearsal says')->assertSee('Hold: The rehearsal says: refused by Secure Boot');
    ($this->open)('unknown-laptop');
    $this->get("/jobs/{$this->job->id}/rehearsal")->assertSee('It can also end in: refused by Secure Boot')->assertSee('What settles it: <b>Secure Boot</b>', false)->assertSee('If the processor');
    ($this->open)('stick-for-any');
    $this->get("/jobs/{$this->job->id}/rehearsal")->assertSee('No power-on to rehearse')->assertSee('UEFI, Secure Boot in force')->assertSee('the old way (BIOS)');
});

it('keeps reality beside the prediction, computes the path again, and makes a quirk of the model', function () {
    ($this->open)('fairlead-13');
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 1, 'outcome' => 'stops-in-setup', 'of' => 'model'])->assertSessionHasNoErrors()->assertRedirect("/jobs/{$this->job->id}/rehearsal");
    $this->job->refresh();
    expect($this->job->revision)->toBe(2)->and(BootObservation::query()->firstOrFail()->only(['wants', 'predicted', 'seen', 'of_model', 'model']))->toBe(['wants' => 'installer', 'predicted' => 'installer-starts', 'seen' => 'stops-in-setup', 'of_model' => true, 'model' => 'norrel-fairlead-13'])
        ->and(LogRecord::query()->where('kind', 'reality')->firstOrFail()->data['text'])->toBe('Predicted: the installer starts. Seen: it stops in the setup. Said of the model.');
    $start = collect($this->job->currentPlan()->plan['assessment']['rehearsal'])->firstWhere('wants', 'installer');
    expect($start['outcome'])->toBe('stops-in-setup')->and($start['ground'])->toBe('seen-here')->and($start['blocks'])->toBeFalse();
    $this->get("/jobs/{$this->job->id}/rehearsal")->assertSee('seen on this model once')->assertSee('went otherwise: it stops in the setup')->assertSee('Prediction against reality')->assertSee('1 went otherwise at the machine');
    $this->get('/catalogue/machines/norrel-fairlead-13')->assertSee('Seen on this model')->assertSee('it stops in the setup');
    // Another job of that model is rehearsed with it; one of another model is not.
    $this->get("/jobs/{$this->jobFrom('firmware-update', $this->people['lead'])->id}/rehearsal")->assertOk();
    expect(collect($this->jobFrom('fairlead-13', $this->people['lead'])->currentPlan()->plan['assessment']['rehearsal'])->firstWhere('wants', 'installer')['outcome'])->toBe('stops-in-setup')
        ->and(collect($this->jobFrom('new-capstan', $this->people['lead'])->currentPlan()->plan['assessment']['rehearsal'])->firstWhere('wants', 'installer')['outcome'])->toBe('installer-starts');
    $this->get('/logbook')->assertSee('0 of 1')->assertSeeText('“the installer starts”', false);
});

it('keeps what happened this time for this job only, with the first thing to try on the stone', function () {
    ($this->open)('fairlead-13');
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 1, 'outcome' => 'no-bootable-device', 'of' => 'this-time'])->assertSessionHasNoErrors();
    $plan = $this->job->refresh()->currentPlan()->plan;
    expect(collect($plan['assessment']['rehearsal'])->firstWhere('wants', 'installer')['outcome'])->toBe('installer-starts')
        ->and(collect($plan['steps'])->firstWhere('id', 'boot.start')['instructions'][0])->toStartWith('Last time: no bootable device. Not in the list, in this order: another port');
});

it('learns from a refusal: Secure Boot goes off for the stick, and back on after', function () {
    ($this->open)('unknown-laptop');
    $plan = fn (): array => $this->job->refresh()->currentPlan()->plan;
    expect(collect($plan()['decisions'])->firstWhere('id', 'firmware.secure-boot')['chosen'])->toBe('leave as it is');
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 1, 'outcome' => 'refused-by-secure-boot', 'of' => 'this-time'])->assertSessionHasNoErrors();
    expect(collect($plan()['decisions'])->firstWhere('id', 'firmware.secure-boot')['chosen'])->toBe('off for the stick, back on after')
        ->and(collect($plan()['steps'])->firstWhere('id', 'firmware.set')['rows'][0]['becomes'])->toBe('off')
        ->and(array_column($plan()['put_back'], 'id'))->toContain('secure-boot')
        ->and(collect($plan()['assessment']['rehearsal'])->firstWhere('wants', 'installer')['outcome'])->toBe('installer-starts')
        ->and(array_values(array_filter(array_column($plan()['facts'], null, 'name'), fn ($fact) => $fact['name'] === 'firmware.secure_boot'))[0]['value'])->toBe('on');
});

it('refuses what cannot be, in words, and lets a viewer only look', function () {
    ($this->open)('fairlead-13');
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 1, 'outcome' => 'tea', 'of' => 'model'])->assertSessionHasErrors('outcome');
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 7, 'outcome' => 'silent', 'of' => 'model'])->assertSessionHasErrors(['outcome' => 'This path has no such power-on any more. Look at it again and choose once more.']);
    ($this->send)('rehearsal', ['step' => '<b>', 'number' => 1, 'outcome' => 'silent', 'of' => 'model'])->assertSessionHasErrors('step');
    $this->post("/jobs/{$this->job->id}/rehearsal", ['seen' => 0, 'step' => 'boot.start', 'number' => 1, 'outcome' => 'silent', 'of' => 'this-time'])->assertStatus(409);
    expect(BootObservation::query()->count())->toBe(0)->and($this->job->refresh()->revision)->toBe(1);
    $this->actingAs($this->people['viewer']);
    ($this->send)('rehearsal', ['step' => 'boot.start', 'number' => 1, 'outcome' => 'silent', 'of' => 'model'])->assertForbidden();
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
    expect(BootObservation::query()->get()->map->only(['step', 'predicted', 'seen'])->all())->toBe([['step' => 'boot.recovery', 'predicted' => 'recovery-starts', 'seen' => 'recovery-starts']]);
    $this->get('/logbook')->assertDontSee('100 %')->assertSee('1 was laid with nothing said against the prediction');
    $this->get("/jobs/{$this->job->id}/rehearsal")->assertSee('nothing said against it')->assertSee('Nobody has said yet');
    $this->post("/jobs/{$this->job->id}/rehearsal", ['seen' => $this->job->refresh()->last_entry, 'step' => 'boot.recovery', 'number' => 1, 'outcome' => 'recovery-starts', 'of' => 'as-predicted'])->assertSessionHasNoErrors();
    $this->get('/logbook')->assertSee('100 %')->assertSee('1 of 1');
});

it('lets a predicted failure be overruled in writing', function () {
    ($this->open)('locked-capstan');
    $this->post("/jobs/{$this->job->id}/steps/boot.start/waive", ['seen' => $this->job->refresh()->last_entry, 'gate' => 'rehearsal-boot.start-refused-by-secure-boot', 'agreed_by' => 'bench lead', 'text' => 'Its maker says the signer is in it.'])->assertSessionHasNoErrors();
    $waived = LogRecord::query()->where('kind', 'waived')->firstOrFail();
    expect($waived->data['text'])->toBe('Its maker says the signer is in it.')->and($waived->data['gate'])->toBe('rehearsal-boot.start-refused-by-secure-boot');
    $this->get("/jobs/{$this->job->id}?stone=boot.start")->assertSee('waived');
});

it('records a snapshot by form and by paste, plans from it, and compares any two', function () {
    ($this->open)('fairlead-13');
    $rows = fn (): array => array_column(collect($this->job->refresh()->currentPlan()->plan['steps'])->firstWhere('id', 'firmware.set')['rows'] ?? [], 'becomes', 'where');
    expect($rows())->toHaveCount(4);
    ($this->send)('settings', ['settings' => ['boot_mode' => 'uefi', 'older_devices' => 'off', 'secure_boot' => '', 'nonsense' => 'x']])->assertSessionHasNoErrors();
    expect($rows())->toBe(['Keys › Secure Boot' => 'on', 'Keys › Security chip' => 'on']);
    ($this->send)('settings', ['pasted' => "Secure Boot: on\nOlder devices: allowed\nFan: quick"])->assertSessionHasNoErrors();
    [$first, $second] = FirmwareSnapshot::query()->orderBy('id')->get()->all();
    expect($first->settings)->toBe(['boot_mode' => 'uefi', 'older_devices' => 'off'])->and($second->settings)->toBe(['secure_boot' => 'on', 'older_devices' => 'allowed'])->and($second->notes[0])->toContain('set, not in force')->and($second->notes[1])->toContain('no setting "Fan"');
    $this->get("/jobs/{$this->job->id}/settings?from={$first->id}&to={$second->id}")->assertOk()->assertSee('set, not in force')->assertSeeInOrder(['Older devices', 'off', 'allowed']);
    $this->get("/jobs/{$this->job->id}/settings?from=999&to=x")->assertOk();
});

it('takes a photo as evidence, and nothing that only says it is one', function () {
    ($this->open)('fairlead-13');
    ($this->send)('settings', ['photo' => UploadedFile::fake()->createWithContent('page.jpg', '<html><script>alert(1)</script>')])->assertSessionHasErrors(['photo' => 'This file is no picture that is known here: JPEG, PNG or WebP.']);
    $png = base64_decode('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==');
    ($this->send)('settings', ['photo' => UploadedFile::fake()->createWithContent('../../evil.php', $png)])->assertSessionHasNoErrors();
    $snapshot = FirmwareSnapshot::query()->firstOrFail();
    expect($snapshot->photo)->toMatch('/^[0-9a-f]{32}\.png$/')->and($snapshot->settings)->toBe([])->and($this->job->refresh()->revision)->toBe(1);
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('a photo only');
    $this->get("/jobs/{$this->job->id}/settings/{$snapshot->id}/photo")->assertOk()->assertHeader('Content-Type', 'image/png')->assertHeader('Content-Security-Policy');
    $other = $this->jobFrom('firmware-update', $this->people['lead']);
    $this->get("/jobs/{$other->id}/settings/{$snapshot->id}/photo")->assertNotFound();
});

it('draws photos anew: position, thumbnail and comments stay behind, and it stands upright', function () {
    ($this->open)('fairlead-13');
    $picture = imagecreatetruecolor(40, 20);
    imagefilledrectangle($picture, 0, 0, 19, 19, 0xFF0000);
    imagejpeg($picture, $path = sys_get_temp_dir().'/cobble-exif.jpg', 95);
    // Exif as a camera writes it: held on its side (0x0112 = 6), and a position (0x8825).
    $tiff = "MM\0\x2A\0\0\0\x08".pack('n', 2).pack('nnNnn', 0x0112, 3, 1, 6, 0).pack('nnNN', 0x8825, 4, 1, 38).pack('N', 0).pack('n', 1).pack('nnNa4', 1, 2, 2, "N\0\0\0").pack('N', 0).'SECRET-PLACE';
    $jpeg = (string) file_get_contents($path);
    file_put_contents($path, "\xFF\xD8\xFF\xE1".pack('n', strlen($tiff) + 8)."Exif\0\0{$tiff}".substr($jpeg, 2));
    expect(exif_read_data($path)['Orientation'])->toBe(6);
    ($this->send)('settings', ['photo' => UploadedFile::fake()->createWithContent('page.jpg', (string) file_get_contents($path))])->assertSessionHasNoErrors();
    $kept = glob("{$this->photos}/*.jpg")[0];
    clearstatcache();
    expect((string) file_get_contents($kept))->not->toContain('SECRET-PLACE')->not->toContain('Exif')->and(getimagesize($kept)[0])->toBe(20)->and(getimagesize($kept)[1])->toBe(40)
        ->and(decoct(fileperms($kept) & 0777))->toBe('640');
    unlink($path);
});

it('says so where a photo cannot be kept, and keeps nothing of it', function () {
    ($this->open)('fairlead-13');
    config(['cobblestone.photos' => '/proc/no-such-place']);
    $png = base64_decode('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==');
    ($this->send)('settings', ['settings' => ['boot_mode' => 'uefi'], 'photo' => UploadedFile::fake()->createWithContent('page.png', $png)])->assertSessionHasErrors('photo');
    expect(FirmwareSnapshot::query()->count())->toBe(0)->and($this->job->refresh()->revision)->toBe(1);
});

it('lets the running server take what the pages promise', function () {
    $fpm = (string) file_get_contents(base_path('deploy/php-fpm.conf'));
    // Photos of 12 MB, bundles and pieces of images: what is allowed for one request has to hold for one file too.
    foreach (['post_max_size', 'upload_max_filesize'] as $limit) {
        expect(preg_match("/^php_admin_value\\[{$limit}\\] = (\\d+)M$/m", $fpm, $found))->toBe(1)->and((int) $found[1])->toBeGreaterThanOrEqual(32);
    }
    expect((string) file_get_contents(base_path('bin/start')))->toContain('var/photos');
});

it('says what is wrong with an empty or hopeless snapshot and keeps what was typed', function () {
    ($this->open)('fairlead-13');
    ($this->send)('settings')->assertSessionHasErrors(['settings' => 'Choose at least one setting, paste lines, or add a photo.']);
    $this->from("/jobs/{$this->job->id}/settings")->followingRedirects()->post("/jobs/{$this->job->id}/settings", ['seen' => $this->job->refresh()->last_entry, 'pasted' => 'Fan speed: quick'])->assertSee('this model has no setting')->assertSee('Fan speed: quick');
    ($this->send)('settings', ['pasted' => str_repeat('x', 70_000)])->assertSessionHasErrors('pasted');
    expect(FirmwareSnapshot::query()->count())->toBe(0);
});

it('shows the update path with its stops, and what is left out', function () {
    ($this->open)('firmware-update');
    $this->get("/jobs/{$this->job->id}/settings")->assertOk()->assertSee('About 21 min in all')->assertSee('required stop')->assertSee('nf13-116.cap')->assertSee('hold F3 while plugging');
    ($this->open)('new-capstan');
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('is not known: read it in the setup')->assertSee('bwk41-f10.bin');
    $brief = App\Documents\BriefDocument::fromFile(base_path('docs/guide/briefs/new-capstan.yaml'));
    $brief['machine']['facts'] = [...($brief['machine']['facts'] ?? []), 'firmware.version' => 'F9', 'board.revision' => '2'];
    $job = app(App\Actions\OpenJob::class)->handle($this->people['lead'], $brief);
    $this->get("/jobs/{$job->id}/settings")->assertSee('the maker has withdrawn it')->assertSee('without a reason no firmware is updated');
});

it('draws the ways in and grows sure with every try', function () {
    ($this->open)('fairlead-13');
    $page = "/jobs/{$this->job->id}/ways-in";
    $this->get($page)->assertOk()->assertSee('One-time menu')->assertSee('Count with me')->assertSee('94 %')->assertSee('Where the stick goes')->assertSee('this one');
    ($this->send)('ways-in', ['reaches' => 'menu', 'way' => 'tap F10', 'worked' => 'no'])->assertRedirect($page);
    $this->get($page)->assertSee('83 %');
    ($this->send)('ways-in', ['reaches' => 'menu', 'way' => 'tap F12', 'worked' => 'yes']);
    $this->get($page)->assertSeeInOrder(['Tap F10', 'Tap F12']);
    expect(WayTrial::query()->count())->toBe(2);
    ($this->send)('ways-in', ['reaches' => 'tea', 'way' => 'x', 'worked' => 'yes'])->assertSessionHasErrors('reaches');
    ($this->open)('cable-restore');
    $this->get("/jobs/{$this->job->id}/ways-in")->assertSee('Recovery over a cable')->assertSee('Let go when the lamp turns amber')->assertSee('seen from behind');
    ($this->open)('unknown-laptop');
    $this->get("/jobs/{$this->job->id}/ways-in")->assertOk()->assertSee('a usual laptop')->assertDontSee('It worked');
    ($this->send)('ways-in', ['reaches' => 'menu', 'way' => 'tap F12', 'worked' => 'yes'])->assertStatus(422);
});

it('asks for a choice where medium and system contradict each other, and the rehearsal shows what comes of it', function () {
    $brief = App\Documents\BriefDocument::fromFile(base_path('docs/guide/briefs/fairlead-13.yaml'));
    $brief['image'] = ['name' => 'old.img', 'bytes' => 3_000_000_000, 'kind' => 'raw', 'loader' => ['signed' => false, 'uefi' => false, 'legacy' => true]];
    $this->job = app(App\Actions\OpenJob::class)->handle($this->people['lead'], $brief);
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('is needed in two ways');
    ($this->send)('answers', ['facts' => ['choice.boot_mode' => 'uefi']])->assertSessionHasNoErrors();
    $start = collect($this->job->refresh()->currentPlan()->plan['assessment']['rehearsal'])->firstWhere('wants', 'installer');
    expect($start['outcome'])->toBe('loader-missing')->and($start['blocks'])->toBeTrue();
    $this->get("/jobs/{$this->job->id}/rehearsal")->assertSee('Loader missing');
});

it('names catalogue faults by file and field', function () {
    $folder = sys_get_temp_dir().'/cobble-faults-'.bin2hex(random_bytes(4));
    Tests\Support\Workshop::says('cp', '-r', base_path('catalogue'), $folder);
    $file = "{$folder}/machines/norrel-fairlead-13.yaml";
    file_put_contents($file, str_replace(["requires: {boot_mode: uefi, older_devices: 'off'}", "from: '1.06'"], ["requires: {boot_mode: sideways, tea: 'off'}", "from: '1.20'"], (string) file_get_contents($file)));
    $faults = App\Catalogue\CatalogueFolder::read($folder)->faults();
    expect(implode("\n", $faults))->toContain('machines/norrel-fairlead-13.yaml: firmware.settings.2.requires.boot_mode: "sideways" is none of its values')->toContain('firmware.settings.2.requires: this model has no setting "tea".')->toContain('firmware.releases.1.from: 1.14 cannot be written over 1.20');
    Tests\Support\Workshop::says('rm', '-r', $folder);
    expect(CatalogueEntry::query()->where('kind', 'signers')->count())->toBe(2);
});

it('brings the timeline to the stone that begins with a key', function () {
    ($this->open)('fairlead-13');
    $this->get("/jobs/{$this->job->id}/run?stone=boot.start")->assertOk()->assertSee('Count with me')->assertSee('Tap F10, twice a second');
    $this->get("/jobs/{$this->job->id}/run?stone=firmware.snapshot")->assertSee('Tap F2, twice a second');
    $this->get("/jobs/{$this->job->id}/run?stone=media.write")->assertDontSee('Count with me');
    ($this->open)('cable-restore');
    $this->get("/jobs/{$this->job->id}/run?stone=boot.recovery")->assertSee('Hold the round button');
    $this->get("/jobs/{$this->job->id}/settings")->assertOk()->assertSee('A sealed machine has no settings')->assertDontSee('record it first');
});

it('says whether Secure Boot is in force, not only set', function () {
    ($this->open)('fairlead-13');
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('Secure Boot is not in force')->assertSee('It is off.');
    ($this->send)('settings', ['settings' => ['secure_boot' => 'on', 'older_devices' => 'off', 'boot_mode' => 'uefi', 'key_mode' => 'setup']])->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('the machine stands in setup mode');
    ($this->send)('settings', ['settings' => ['key_mode' => 'factory', 'supervisor_password' => 'lost']])->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('Secure Boot is in force');
    $this->get("/jobs/{$this->job->id}")->assertSee('supervisor password that nobody has');
});
