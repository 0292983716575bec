<?php

use App\Models\OpeningPhoto;
use Illuminate\Http\UploadedFile;

beforeEach(function () {
    config(['cobblestone.photos' => $this->photos = sys_get_temp_dir().'/cobble-inside-'.bin2hex(random_bytes(4))]);
    $this->people = $this->bench();
    $this->place = '/catalogue/machines/brackwater-capstan-t3';
    $this->send = fn (array $given = []) => $this->actingAs($this->people['lead'])->from($this->place)->post(
        "{$this->place}/photos",
        ['photo' => UploadedFile::fake()->image('inside.jpg', 640, 480), 'words' => 'the slot\'s catch', ...$given],
    );
});

afterEach(function () {
    array_map(unlink(...), glob("{$this->photos}/*") ?: []);
    @rmdir($this->photos);
});

it('shows the inside of a model where a machine of it is opened, and nowhere else', function () {
    ($this->send)()->assertRedirect($this->place);
    $photo = OpeningPhoto::query()->sole();
    $this->get($this->place)->assertSee('the slot\'s catch')->assertSee("{$this->place}/photos/{$photo->id}");
    $this->get("{$this->place}/photos/{$photo->id}")
        ->assertOk()
        ->assertHeader('Content-Security-Policy', "default-src 'none'; sandbox");
    $job = $this->jobFrom('card-swap', $this->people['lead']);
    foreach (["/jobs/{$job->id}/run", "/jobs/{$job->id}"] as $page) {
        $this->get("{$page}?stone=hardware.swap-card")->assertSee("{$this->place}/photos/{$photo->id}");
        $this->get("{$page}?stone=drivers.fetch")->assertDontSee("{$this->place}/photos/");
    }
    $other = $this->jobFrom('drive-swap', $this->people['lead']);
    $this->get("/jobs/{$other->id}/run?stone=hardware.swap-drive")->assertOk()->assertDontSee('/photos/');
});

it('takes in pictures alone, with words, six of a model at most', function () {
    ($this->send)(['photo' => UploadedFile::fake()->createWithContent('x.jpg', '<svg/>')])
        ->assertSessionHasErrors(['photo' => 'This file is no picture that is known here: JPEG, PNG or WebP.']);
    ($this->send)(['words' => ''])->assertSessionHasErrors('words');
    ($this->send)(['photo' => null])->assertSessionHasErrors(['photo' => 'Choose a photo.']);
    expect(OpeningPhoto::query()->count())->toBe(0)->and(glob("{$this->photos}/*"))->toBe([]);
    for ($i = 0; $i < OpeningPhoto::MOST; $i++) {
        ($this->send)()->assertSessionHasNoErrors();
    }
    ($this->send)()->assertSessionHasErrors(['photo' => 'There are 6 already: take one away first.']);
});

it('is kept by the lead: others neither add nor take away, and what is taken away is gone', function () {
    ($this->send)();
    $photo = OpeningPhoto::query()->sole();
    $this->actingAs($this->people['evening'])->post("{$this->place}/photos", [])->assertForbidden();
    $this->post("{$this->place}/photos/{$photo->id}/remove")->assertForbidden();
    $this->get($this->place)->assertSee('the slot\'s catch')->assertDontSee('take away')->assertDontSee('Take it in');
    $this->actingAs($this->people['lead']);
    $this->post("/catalogue/machines/norrel-fairlead-13/photos/{$photo->id}/remove")->assertNotFound();
    $this->get("/catalogue/machines/norrel-fairlead-13/photos/{$photo->id}")->assertNotFound();
    $this->post('/catalogue/machines/no-such/photos', ['words' => 'x'])->assertNotFound();
    $this->post("{$this->place}/photos/{$photo->id}/remove")->assertRedirect($this->place);
    expect(OpeningPhoto::query()->count())->toBe(0)->and(glob("{$this->photos}/*"))->toBe([]);
    $this->get("{$this->place}/photos/{$photo->id}")->assertNotFound();
});

it('draws a photo anew: where it was taken stays behind', function () {
    $image = imagecreatetruecolor(80, 60);
    ob_start();
    imagejpeg($image);
    $bytes = (string) ob_get_clean();
    // A comment segment after the start of the image, as a camera writes one.
    $comment = 'at 54.1 north';
    $marked = substr($bytes, 0, 2)."\xFF\xFE".pack('n', strlen($comment) + 2).$comment.substr($bytes, 2);
    ($this->send)(['photo' => UploadedFile::fake()->createWithContent('x.jpg', $marked)])->assertSessionHasNoErrors();
    $kept = (string) file_get_contents((string) (glob("{$this->photos}/*") ?: [''])[0]);
    expect($kept)->not->toContain($comment)->and(getimagesizefromstring($kept))->not->toBeFalse();
});
