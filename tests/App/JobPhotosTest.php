<?php

use App\Actions\LogBook;
use App\Devices\BlackAreas;
use App\Models\JobPhoto;
use App\Models\LogRecord;
use App\Retention\Due;
use App\Retention\RemoveContents;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Http\UploadedFile;

beforeEach(function () {
    config(['cobblestone.photos' => $this->photos = sys_get_temp_dir().'/cobble-taken-'.bin2hex(random_bytes(4))]);
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->at = "/jobs/{$this->job->id}/photos";
    // White, 400 by 200, as a camera gives it or held on its side.
    $this->picture = function (int $held = 1, int $wide = 400, int $high = 200): UploadedFile {
        $picture = imagecreatetruecolor($wide, $high);
        imagefill($picture, 0, 0, (int) imagecolorallocate($picture, 255, 255, 255));
        ob_start();
        imagejpeg($picture, null, 95);
        $jpeg = (string) ob_get_clean();
        // Exif, tag 0x0112, and a text that must not be kept.
        $exif = "Exif\0\0MM\0\x2a\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01\0".chr($held)."\0\0\0\0\0\0SECRET-PLACE";
        $jpeg = substr($jpeg, 0, 2)."\xff\xe1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);

        return UploadedFile::fake()->createWithContent('IMG_1.jpg', $jpeg);
    };
    $this->send = fn (array $given = []) => $this->from($this->at)->post($this->at, [
        'photo' => ($this->picture)(), 'words' => 'the label', 'step' => 'intake.take-in', 'black' => '', ...$given,
    ]);
    $this->kept = fn (): GdImage => imagecreatefromjpeg("{$this->photos}/".JobPhoto::query()->sole()->photo);
    $this->dark = fn (GdImage $of, int $x, int $y): bool => (imagecolorat($of, $x, $y) & 0xFF) < 60;
});

afterEach(function () {
    array_map(unlink(...), glob("{$this->photos}/*") ?: []);
    @rmdir($this->photos);
});

it('keeps a photo at its stone, drawn anew, with nothing beside what is seen', function () {
    ($this->send)()->assertRedirect($this->at)->assertSessionHasNoErrors();
    $photo = JobPhoto::query()->sole();
    expect((string) file_get_contents("{$this->photos}/{$photo->photo}"))->not->toContain('SECRET-PLACE')
        ->not->toContain('Exif')
        ->and(LogRecord::query()->where('kind', 'photo')->sole()->step)->toBe('intake.take-in');
    $this->get($this->at)->assertSee('the label')->assertDontSee(', blackened')->assertSee('Take in');
    $this->get("{$this->at}/{$photo->id}")->assertOk()
        ->assertHeader('Content-Security-Policy', "default-src 'none'; sandbox");
    $this->get("/jobs/{$this->job->id}/run")->assertSee('photos?stone=');
});

it('blackens what was drawn over before anything is kept', function () {
    ($this->send)(['black' => '[[0.5,0,0.25,0.5],[0,0.9,0.1,0.1]]'])->assertSessionHasNoErrors();
    $kept = ($this->kept)();
    expect(($this->dark)($kept, 250, 50))->toBeTrue()
        ->and(($this->dark)($kept, 210, 10))->toBeTrue()
        ->and(($this->dark)($kept, 10, 190))->toBeTrue()
        ->and(($this->dark)($kept, 150, 50))->toBeFalse()
        ->and(($this->dark)($kept, 350, 50))->toBeFalse()
        ->and(($this->dark)($kept, 250, 150))->toBeFalse()
        ->and(JobPhoto::query()->sole()->blackened)->toBe(2)
        ->and(count(glob("{$this->photos}/*") ?: []))->toBe(1);
});

it('blackens it as it is seen, however the camera was held', function () {
    // Held on its side: seen 200 wide and 400 high; its upper half is drawn over.
    ($this->send)(['photo' => ($this->picture)(6), 'black' => '[[0,0,1,0.5]]'])->assertSessionHasNoErrors();
    $kept = ($this->kept)();
    expect([imagesx($kept), imagesy($kept)])->toBe([200, 400])
        ->and(($this->dark)($kept, 100, 100))->toBeTrue()
        ->and(($this->dark)($kept, 100, 300))->toBeFalse();
});

it('keeps no more than a page shows', function () {
    ($this->send)(['photo' => ($this->picture)(1, 4000, 1000)])->assertSessionHasNoErrors();
    $kept = ($this->kept)();
    expect([imagesx($kept), imagesy($kept)])->toBe([2400, 600]);
});

it('keeps nothing where it cannot tell what was to be hidden', function (string $black) {
    ($this->send)(['black' => $black])->assertSessionHasErrors('photo');
    expect(JobPhoto::query()->count())->toBe(0)->and(glob("{$this->photos}/*") ?: [])->toBe([]);
})->with(['nonsense', '{"a":1}', '[[1,2,3]]', '[["0","0","1","1"]]', '[[0,0,1,null]]', '[[[0],0,1,1]]', '5']);

it('reads areas within the photo', function () {
    expect(BlackAreas::read('[[-1,0.5,3,0.25]]')?->areas)->toBe([[0.0, 0.5, 1.0, 0.25]])
        ->and(BlackAreas::read('')?->areas)->toBe([])
        ->and(BlackAreas::read('[]')?->areas)->toBe([])
        ->and(BlackAreas::read((string) json_encode(array_fill(0, 41, [0, 0, 1, 1]))))->toBeNull();
});

it('takes pictures alone, with words and a stone of the path', function (array $given, string $field) {
    ($this->send)($given)->assertSessionHasErrors($field);
    expect(JobPhoto::query()->count())->toBe(0);
})->with([
    [fn () => ['photo' => UploadedFile::fake()->createWithContent('x.jpg', '<svg/>')], 'photo'],
    [['photo' => null], 'photo'],
    [['words' => ''], 'words'],
    [['step' => 'no.such'], 'step'],
]);

it('prints on the sheet what the owner agreed to, and nothing else', function () {
    ($this->send)(['words' => 'a scratch', 'on_sheet' => 'yes']);
    ($this->send)(['words' => 'the screen']);
    $this->get("/jobs/{$this->job->id}/handover")->assertSee('a scratch')->assertDontSee('the screen');
});

it('takes one away with a word on record, and none of another job', function () {
    ($this->send)();
    $photo = JobPhoto::query()->sole();
    $other = $this->jobFrom('capstan-t3', $this->people['lead']);
    $this->get("/jobs/{$other->id}/photos/{$photo->id}")->assertNotFound();
    $this->post("/jobs/{$other->id}/photos/{$photo->id}/remove")->assertNotFound();
    $this->actingAs($this->people['viewer'])->post("{$this->at}/{$photo->id}/remove")->assertForbidden();
    $this->get($this->at)->assertOk()->assertDontSee('Keep it')->assertDontSee('take away');
    $this->actingAs($this->people['evening'])->post("{$this->at}/{$photo->id}/remove")->assertRedirect($this->at);
    expect(JobPhoto::query()->count())->toBe(0)->and(glob("{$this->photos}/*") ?: [])->toBe([])
        ->and(LogRecord::query()->where('kind', 'photo')->latest('id')->first()?->data['text'])
        ->toBe('taken away: the label');
});

it('becomes due with the other photos, and goes with them', function () {
    ($this->send)();
    app(LogBook::class)->write($this->job->refresh(), $this->people['lead'], EntryKind::Note, null, ['text' => 'x']);
    $this->job->refresh()->update(['status' => 'handed-over', 'handed_over_at' => now()->subDays(200)]);
    expect(array_column(Due::words(), 'what'))->toContain('photos');
    ($this->send)()->assertForbidden();
    app(RemoveContents::class)->handle($this->job, 'photos', $this->people['lead'], 'over');
    expect(JobPhoto::query()->count())->toBe(0)->and(glob("{$this->photos}/*") ?: [])->toBe([])
        ->and(array_column(Due::words(), 'what'))->not->toContain('photos');
});
