<?php

use App\Models\FirmwareSnapshot;
use Illuminate\Http\UploadedFile;

beforeEach(function () {
    jobAtHand($this, 'evening');
    config(['cobblestone.photos' => $this->photos = sys_get_temp_dir().'/cobble-photos-'.bin2hex(random_bytes(4))]);
});

afterEach(function () {
    array_map(unlink(...), glob("{$this->photos}/*") ?: []);
    @rmdir($this->photos);
});

it('records a snapshot by form and by paste, plans from it, and compares any two', function () {
    ($this->open)('fairlead-13');
    $rows = fn (): array => array_column(
        collect($this->job->refresh()->currentPlan()->plan['steps'])->firstWhere('id', 'firmware.set')['rows'] ?? [],
        'becomes',
        'where',
    );
    expect($rows())->toHaveCount(4);
    ($this->send)('settings', [
        'settings' => ['boot_mode' => 'uefi', 'older_devices' => 'off', 'secure_boot' => '', 'nonsense' => 'x'],
    ])
        ->assertSessionHasNoErrors();
    expect($rows())->toBe(['Keys › Secure Boot' => 'on', 'Keys › Security chip' => 'on']);
    ($this->send)('settings', ['pasted' => "Secure Boot: on\nOlder devices: allowed\nFan: quick"])
        ->assertSessionHasNoErrors();
    [$first, $second] = FirmwareSnapshot::query()->orderBy('id')->get()->all();
    expect($first->settings)->toBe(['boot_mode' => 'uefi', 'older_devices' => 'off'])
        ->and($second->settings)->toBe(['secure_boot' => 'on', 'older_devices' => 'allowed'])
        ->and($second->notes[0])->toContain('set, not in force')
        ->and($second->notes[1])->toContain('no setting "Fan"');
    $this->get("/jobs/{$this->job->id}/settings?from={$first->id}&to={$second->id}")
        ->assertOk()
        ->assertSee('set, not in force')
        ->assertSeeInOrder(['Older devices', 'off', 'allowed']);
    $this->get("/jobs/{$this->job->id}/settings?from=999&to=x")->assertOk();
});

it('takes a photo as evidence, and nothing that only says it is one', function () {
    ($this->open)('fairlead-13');
    ($this->send)('settings', [
        'photo' => UploadedFile::fake()->createWithContent('page.jpg', '<html><script>alert(1)</script>'),
    ])
        ->assertSessionHasErrors(['photo' => 'This file is no picture that is known here: JPEG, PNG or WebP.']);
    $png = base64_decode(
        'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    );
    ($this->send)('settings', ['photo' => UploadedFile::fake()->createWithContent('../../evil.php', $png)])
        ->assertSessionHasNoErrors();
    $snapshot = FirmwareSnapshot::query()->firstOrFail();
    expect($snapshot->photo)->toMatch('/^[0-9a-f]{32}\.png$/')
        ->and($snapshot->settings)->toBe([])
        ->and($this->job->refresh()->revision)->toBe(1);
    $this->get("/jobs/{$this->job->id}/settings")->assertSee('a photo only');
    $this->get("/jobs/{$this->job->id}/settings/{$snapshot->id}/photo")
        ->assertOk()
        ->assertHeader('Content-Type', 'image/png')
        ->assertHeader('Content-Security-Policy');
    $other = $this->jobFrom('firmware-update', $this->people['lead']);
    $this->get("/jobs/{$other->id}/settings/{$snapshot->id}/photo")->assertNotFound();
});

it('draws photos anew: position, thumbnail and comments stay behind, and it stands upright', function () {
    ($this->open)('fairlead-13');
    $picture = imagecreatetruecolor(40, 20);
    imagefilledrectangle($picture, 0, 0, 19, 19, 0xFF0000);
    imagejpeg($picture, $path = sys_get_temp_dir().'/cobble-exif.jpg', 95);
    // Exif as a camera writes it: held on its side (0x0112 = 6), and a position (0x8825).
    $tiff = "MM\0\x2A\0\0\0\x08".pack('n', 2).pack('nnNnn', 0x0112, 3, 1, 6, 0).pack('nnNN', 0x8825, 4, 1, 38)
        .pack('N', 0).pack('n', 1).pack('nnNa4', 1, 2, 2, "N\0\0\0").pack('N', 0).'SECRET-PLACE';
    $jpeg = (string) file_get_contents($path);
    file_put_contents($path, "\xFF\xD8\xFF\xE1".pack('n', strlen($tiff) + 8)."Exif\0\0{$tiff}".substr($jpeg, 2));
    expect(exif_read_data($path)['Orientation'])->toBe(6);
    ($this->send)('settings', [
        'photo' => UploadedFile::fake()->createWithContent('page.jpg', (string) file_get_contents($path)),
    ])
        ->assertSessionHasNoErrors();
    $kept = glob("{$this->photos}/*.jpg")[0];
    clearstatcache();
    expect((string) file_get_contents($kept))->not->toContain('SECRET-PLACE')->not->toContain('Exif')
        ->and(getimagesize($kept)[0])->toBe(20)
        ->and(getimagesize($kept)[1])->toBe(40)
        ->and(decoct(fileperms($kept) & 0777))->toBe('640');
    unlink($path);
});

it('says so where a photo cannot be kept, and keeps nothing of it', function () {
    ($this->open)('fairlead-13');
    config(['cobblestone.photos' => '/proc/no-such-place']);
    $png = base64_decode(
        'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    );
    ($this->send)('settings', [
        'settings' => ['boot_mode' => 'uefi'],
        'photo' => UploadedFile::fake()->createWithContent('page.png', $png),
    ])
        ->assertSessionHasErrors('photo');
    expect(FirmwareSnapshot::query()->count())->toBe(0)->and($this->job->refresh()->revision)->toBe(1);
});

it('lets the running server take what the pages promise', function () {
    $fpm = (string) file_get_contents(base_path('deploy/php-fpm.conf'));
    // Photos of 12 MB, bundles and pieces of images: what is allowed for one request has to hold for one file too.
    foreach (['post_max_size', 'upload_max_filesize'] as $limit) {
        expect(preg_match("/^php_admin_value\\[{$limit}\\] = (\\d+)M$/m", $fpm, $found))->toBe(1)
            ->and((int) $found[1])->toBeGreaterThanOrEqual(32);
    }
    expect((string) file_get_contents(base_path('bin/start')))->toContain('var/photos');
});

it('says what is wrong with an empty or hopeless snapshot and keeps what was typed', function () {
    ($this->open)('fairlead-13');
    ($this->send)('settings')->assertSessionHasErrors([
        'settings' => 'Choose at least one setting, paste lines, or add a photo.',
    ]);
    $this->from("/jobs/{$this->job->id}/settings")
        ->followingRedirects()
        ->post("/jobs/{$this->job->id}/settings", [
            'seen' => $this->job->refresh()->last_entry,
            'pasted' => 'Fan speed: quick',
        ])
        ->assertSee('this model has no setting')
        ->assertSee('Fan speed: quick');
    ($this->send)('settings', ['pasted' => str_repeat('x', 70_000)])->assertSessionHasErrors('pasted');
    expect(FirmwareSnapshot::query()->count())->toBe(0);
});
