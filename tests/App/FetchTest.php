<?php

use App\Actions\ScanShelf;
use App\Jobs\FetchImage;
use App\Models\ImageFetch;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\ShelfFile;
use Cobblestone\Runbook\Step;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    config([
        'cobblestone.publisher' => "{$this->shop->folder}/publisher",
        'cobblestone.state' => "{$this->shop->folder}/state",
    ]);
    mkdir("{$this->shop->folder}/publisher");
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    // Something lies on the shelf, so that what does not lie there is looked for.
    touch($this->shop->image('plain.iso'), time() - 60);
    app(ScanShelf::class)->handle();
    $this->bytes = str_repeat(random_bytes(4096), 43_748_352 / 4096).random_bytes(43_748_352 % 4096);
    $this->gives = function (?string $bytes = null, array $faults = []): string {
        $folder = "{$this->shop->folder}/publisher";
        file_put_contents("{$folder}/orrin-small-3.2.img", $bytes ?? $this->bytes);
        $sum = hash('sha256', $this->bytes);
        file_put_contents("{$folder}/SHA256SUMS", "{$sum}  orrin-small-3.2.img\n");
        file_put_contents("{$folder}/faults.json", json_encode(['orrin-small-3.2.img' => $faults]));

        return $sum;
    };
    $this->page = '/shelf/fetch/orrin-desktop-3-small';
    $this->fetch = fn (array $data = []) => $this->post($this->page, $data)->assertRedirect();
});
afterEach(fn () => $this->shop->clear());

function wantingSmall(object $test): Job
{
    return app(App\Actions\OpenJob::class)->handle($test->people['evening'], [
        'brief' => 1, 'title' => 'small', 'goal' => 'media-only', 'system' => 'orrin-desktop-3',
        'image' => 'orrin-desktop-3-small', 'machine' => ['kind' => 'any'],
    ])->refresh();
}

/** @return list<string> */
function stonesOf(Job $job): array
{
    return array_map(fn (Step $step): string => $step->id, $job->refresh()->currentPlan()->typed()->steps);
}

it('goes on where the line broke, compares the checksum, and lays the stone of the job', function () {
    $sum = ($this->gives)(null, ['breaks_at' => 17_000_000]);
    $job = wantingSmall($this);
    expect(stonesOf($job))->toContain('image.fetch');
    $this->get("/jobs/{$job->id}/run?stone=image.fetch")->assertSee('Fetch it onto the shelf');
    $this->get("{$this->page}?job={$job->id}")->assertOk()->assertSee('Not begun')->assertSee('Fetch it');
    $this->get($this->page)->assertSee($sum);
    ($this->fetch)(['job' => (string) $job->id]);
    $fetch = ImageFetch::query()->sole();
    expect($fetch->state)->toBe('failed')
        ->and($fetch->fault)->toContain('The line broke after')
        ->and(filesize($fetch->part()))->toBeGreaterThan(15_000_000)
        ->and($fetch->done_bytes)->toBe(filesize($fetch->part()));
    $this->get($this->page)->assertSee('Go on')->assertSee('What has come is kept');
    $kept = filesize($fetch->part());
    ($this->fetch)(['job' => (string) $job->id]);
    $file = ShelfFile::query()->where('name', 'orrin-small-3.2.img')->sole();
    expect($fetch->refresh()->state)->toBe('done', (string) $fetch->fault)
        ->and($fetch->run_bytes)->toBe(43_748_352 - $kept)
        ->and(is_file($fetch->part()))->toBeFalse()
        ->and(hash_file('sha256', $file->path()))->toBe($sum)
        ->and($file->published_sha256)->toBe($sum)
        ->and($file->slug)->toBe('orrin-desktop-3-small')
        ->and(LogRecord::query()->where('job_id', $job->id)->where('step', 'image.fetch')->sole()->data['text'])
        ->toContain($sum);
    $this->get($this->page)->assertSee('It lies on the shelf.');
    expect(stonesOf(wantingSmall($this)))->not->toContain('image.fetch');
});

it('throws away what has another checksum than the publisher\'s', function () {
    ($this->gives)(null, ['alters_at' => 30_000_000]);
    ($this->fetch)();
    $fetch = ImageFetch::query()->sole();
    expect($fetch->state)->toBe('failed')
        ->and($fetch->fault)->toContain('not the publisher\'s')
        ->and(is_file($fetch->part()))->toBeFalse()
        ->and(ShelfFile::query()->where('name', 'orrin-small-3.2.img')->exists())->toBeFalse();
});

it('fetches nothing of another length, from nobody, or twice onto the same place', function () {
    ($this->fetch)();
    expect(ImageFetch::query()->sole()->fault)->toContain('does not give out');
    $this->get($this->page)->assertSee('No publisher that this bench knows');
    ($this->gives)('short');
    ($this->fetch)();
    expect(ImageFetch::query()->sole()->fault)->toContain('it is another file');
    ($this->gives)();
    file_put_contents("{$this->shop->folder}/shelf/orrin-small-3.2.img", 'something else');
    ($this->fetch)();
    expect(ImageFetch::query()->sole()->fault)->toContain('has a file orrin-small-3.2.img already')
        ->and(file_get_contents("{$this->shop->folder}/shelf/orrin-small-3.2.img"))->toBe('something else');
    $this->get('/shelf/fetch/no-such')->assertNotFound();
    $this->actingAs($this->people['viewer'])->post($this->page)->assertForbidden();
});

it('stops when somebody says so, and keeps what has come', function () {
    ($this->gives)();
    Queue::fake();
    ($this->fetch)();
    $fetch = ImageFetch::query()->sole();
    File::ensureDirectoryExists(dirname($fetch->part()));
    file_put_contents($fetch->part(), substr($this->bytes, 0, 5_000_000));
    $this->post("{$this->page}/stop")->assertRedirect();
    app()->call([new FetchImage($fetch->id), 'handle']);
    expect($fetch->refresh()->state)->toBe('stopped')->and(filesize($fetch->part()))->toBe(5_000_000);
    $this->get($this->page)->assertSee('Stopped; what has come is kept');
});
