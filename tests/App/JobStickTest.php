<?php

use App\Actions\LayStickStones;
use App\Actions\ScanShelf;
use App\Bridge\JobBridge;
use App\Bridge\KeptStick;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickEvent;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\StoneProof;
use Cobblestone\Media\WantedStick;
use Cobblestone\Runbook\EntryKind;
use Illuminate\Validation\ValidationException;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    touch($this->shop->image('hybrid-gpt.iso'), time() - 60);
    app(ScanShelf::class)->handle();
    $this->file = ShelfFile::query()->sole();
    $this->file->update([
        'about' => ['line' => 'Skerry Rolling', 'version' => '2026.11'], 'published_sha256' => $this->file->sha256,
    ]);
    $this->job = $this->jobFrom('new-capstan', $this->people['evening']);
    $this->stick = (string) wantedBy($this->job)?->stick;
    $this->gull = fn (string $way = 'raw') => $this->post("/shelf/{$this->file->id}/builds", [
        'stick' => 'gull-32', 'serial' => 'A9C2', 'way' => $way,
    ]);
    $this->make = fn (string $stick, string $serial, Job $job, string $way = 'raw') => $this->post(
        "/shelf/{$this->file->id}/builds",
        ['stick' => $stick, 'serial' => $serial, 'way' => $way, 'job' => (string) $job->id],
    );
});
afterEach(fn () => $this->shop->clear());

function wantedBy(Job $job): ?WantedStick
{
    return WantedStick::of($job->refresh()->currentPlan()->typed());
}

/** Lays every stone before that one; without, those that a proven stick does not lay itself. */
function walkTo(Job $job, ?string $stone = null): void
{
    foreach ($job->currentPlan()->typed()->steps as $step) {
        if ($step->id === ($stone ?? 'media.write')) {
            return;
        }
        if ($stone === null && array_intersect(StoneProof::PROVES, $step->after) !== []) {
            continue;
        }
        $log = app(App\Actions\LogBook::class);
        $log->write(Job::locked($job->id), test()->people['evening'], EntryKind::Done, $step->id);
    }
}

it('makes the stick of a job and lays the stones that it proves, with what proves them', function () {
    walkTo($this->job);
    $this->get("/jobs/{$this->job->id}/stick")->assertOk()->assertSee('hybrid-gpt.iso')->assertSee('written raw')
        ->assertSee('No stick of the register is what this job wants as it is.')
        ->assertSee('HB16-20240117-••••')->assertDontSee('HB16-20240117-0071');
    ($this->make)($this->stick, '0071', $this->job)->assertSessionHasNoErrors()->assertRedirect();
    $build = StickBuild::query()->sole();
    expect($build->state)->toBe('done')
        ->and($build->job_id)->toBe($this->job->id)
        ->and($build->result['laid'])
        ->toBe(['Check the image', 'Find the stick', 'Write the stick', 'Read the stick back'])
        ->and($build->result['waits'])->toBe([]);
    $entries = LogRecord::query()->where('job_id', $this->job->id)->orderBy('id')->get()->slice(-5)->values();
    expect($entries->pluck('kind')->all())->toBe(['done', 'done', 'confirmed', 'done', 'done'])
        ->and($entries[0]->data['text'])->toContain($this->file->sha256)
        ->and($entries[1]->data['text'])->toContain('HB16-20240117-0071')
        ->and($entries[3]->data['text'])->toStartWith("Build {$build->id} of ")
        ->and(app(JobBridge::class)->progress($this->job->refresh())->state(
            $this->job->currentPlan()->typed()->step('media.verify'),
        )->isClosed())->toBeTrue();
    $this->get("/sticks/{$this->stick}/builds/{$build->id}")->assertSee('Check the image, Find the stick')
        ->assertSee($this->job->title);
    $this->get("/jobs/{$this->job->id}/run?stone=media.write")->assertSee("Build {$build->id} of ");
    $this->get("/jobs/{$this->job->id}/stick")->assertSee('is exactly what this job wants')
        ->assertSee('Its stones are laid.')->assertDontSee('Take it, and lay its stones');
});

it('lays what is open, says what waits, and lays the rest when it is asked to', function () {
    ($this->make)($this->stick, '0071', $this->job)->assertSessionHasNoErrors();
    $result = StickBuild::query()->sole()->result;
    expect($result['laid'])->toBe(['Check the image'])
        ->and(array_keys($result['waits']))->toBe(['Find the stick', 'Write the stick', 'Read the stick back']);
    walkTo($this->job);
    $this->get("/jobs/{$this->job->id}/run?stone=media.identify")->assertSee('was made for this job and is good');
    $seen = $this->job->refresh()->last_entry;
    $this->post("/jobs/{$this->job->id}/stick", ['stick' => $this->stick, 'seen' => (string) $seen])
        ->assertSessionHasNoErrors()
        ->assertSessionHas('said', 'Laid: Find the stick, Write the stick, Read the stick back.');
    // Somebody who looks at a page of before changes nothing.
    $this->post("/jobs/{$this->job->id}/stick", ['stick' => $this->stick, 'seen' => (string) $seen])
        ->assertStatus(409);
});

it('takes a stick that was made for nobody, and computes the path again where it named another', function () {
    walkTo($this->job);
    $this->post("/shelf/{$this->file->id}/builds", ['stick' => 'gull-32', 'serial' => 'A9C2', 'way' => 'raw'])
        ->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/stick")->assertSee('Gull 32')->assertSee('is exactly what this job wants');
    $seen = $this->job->refresh()->last_entry;
    $this->post("/jobs/{$this->job->id}/stick", ['stick' => 'gull-32', 'seen' => (string) $seen])
        ->assertSessionHasNoErrors();
    expect(wantedBy($this->job)?->stick)->toBe('gull-32')
        ->and(app(JobBridge::class)->progress($this->job)->finished())->toContain('media.verify');
});

it('takes no stick that is not what the job wants', function (Closure $before, string $why) {
    walkTo($this->job);
    $slug = $before->call($this) ?? 'gull-32';
    $seen = (string) $this->job->refresh()->last_entry;
    $page = "/jobs/{$this->job->id}/stick";
    $this->from($page)->post($page, ['stick' => $slug, 'seen' => $seen])
        ->assertSessionHasErrors('stick');
    expect(session('errors')->first('stick'))->toContain($why)
        ->and(LogRecord::query()->where('job_id', $this->job->id)->max('id'))->toBe((int) $seen);
})->with([
    'blank' => [fn () => null, 'nothing of ours on it'],
    'unknown' => [fn () => 'heron-8', 'the register has no such stick'],
    'files copied' => [function () {
        ($this->gull)('copied-gpt');
    }, 'its files were copied, and the path writes the image raw'],
    'of another system' => [function () {
        $this->file->update(['about' => ['line' => 'Orrin Desktop 3', 'version' => '3.1']]);
        ($this->gull)();
    }, 'it installs Orrin Desktop 3'],
    'changed since' => [function () {
        ($this->gull)();
        $path = app(App\Bridge\StickRegister::class)->device('gull-32')->path();
        file_put_contents($path, 'x', FILE_APPEND);
        $handle = fopen($path, 'r+b');
        fwrite($handle, 'x');
        fclose($handle);
    }, 'spoiled'],
]);

it('keeps a stick for the job that was first, and for the one that it was made for', function () {
    $second = $this->jobFrom('new-capstan', $this->people['evening']);
    expect(wantedBy($second)?->stick)->not->toBe($this->stick)
        ->and(KeptStick::of($this->stick)?->holder()['id'])->toBe($this->job->id);
    $this->get("/jobs/{$second->id}/stick")->assertSee("kept for {$this->job->title} until");
    $this->get('/sticks')->assertSee("kept for {$this->job->title}");
    $state = StickState::of($this->stick);
    $jobs = [
        ['id' => 7, 'title' => 'Seven', 'until' => 'x'], ['id' => 3, 'title' => 'Three', 'until' => 'Stick out'],
    ];
    expect(KeptStick::among($jobs, $state)->words())->toBe('Three until "Stick out" is laid')
        ->and(array_column(KeptStick::among($jobs, $state->fill(['content' => ['job' => 7]]))->jobs, 'id'))
        ->toBe([7, 3]);
    $this->job->update(['status' => 'handed-over']);
    expect(KeptStick::of($this->stick))->toBeNull();
});

it('puts on record what a technician writes by hand, and lets go of it when it is taken back', function () {
    walkTo($this->job, 'media.write');
    $steps = "/jobs/{$this->job->id}/steps";
    $act = fn (string $action, array $more = []) => $this->post("{$steps}/{$this->stone}/{$action}", [
        'seen' => (string) $this->job->refresh()->last_entry, 'before_clock' => '1', ...$more,
    ])->assertSessionHasNoErrors()->assertRedirect();
    $this->stone = 'media.write';
    $act('confirm', ['serial' => '0071']);
    $act('done');
    expect(StickState::of($this->stick)->condition)->toBe(StickCondition::Unfinished);
    $this->stone = 'media.verify';
    $act('done');
    $state = StickState::of($this->stick);
    expect($state->condition)->toBe(StickCondition::ByHand)->and($state->content['job'])->toBe($this->job->id);
    $this->get("/sticks/{$this->stick}")->assertSee('on a technician')->assertSee('nothing of it was compared')
        ->assertSee('Read back by hand');
    $this->get("/sticks/{$this->stick}/label")->assertStatus(409);
    $act('take-back');
    expect(StickState::of($this->stick)->condition)->toBe(StickCondition::Unfinished)
        ->and(StickEvent::query()->where('slug', $this->stick)->latest('id')->value('kind'))->toBe('hand-undone');
});

it('says what is missing where nothing can be made', function () {
    $this->file->update(['about' => ['line' => 'Orrin Desktop 3']]);
    $this->get("/jobs/{$this->job->id}/stick")->assertOk()->assertSee('The shelf holds no image of Skerry Rolling.')
        ->assertDontSee('It is this stick');
    $this->file->update([
        'about' => ['line' => 'Skerry Rolling', 'version' => '2026.11'], 'published_sha256' => str_repeat('a', 64),
    ]);
    $this->get("/jobs/{$this->job->id}/stick")->assertSee('its checksum is not the published one')
        ->assertSee('No image on the shelf fits this job.');
    $without = $this->jobFrom('cable-restore', $this->people['evening']);
    $this->get("/jobs/{$without->id}/stick")->assertOk()->assertSee('The path of this job needs none.');
    $this->actingAs($this->people['viewer'])->get("/jobs/{$this->job->id}/stick")->assertOk();
    $this->post("/jobs/{$this->job->id}/stick", ['stick' => 'gull-32', 'seen' => '1'])->assertForbidden();
});

it('builds for no job that is not open', function (string $number) {
    $this->job->update(['status' => 'handed-over']);
    $this->post("/shelf/{$this->file->id}/builds", [
        'stick' => 'gull-32', 'serial' => 'A9C2', 'way' => 'raw',
        'job' => $number === '' ? (string) $this->job->id : $number,
    ])->assertSessionHasErrors('job');
    expect(StickBuild::query()->count())->toBe(0)
        ->and(fn () => app(LayStickStones::class)->handle($this->job->id, $this->people['evening'], 'gull-32'))
        ->toThrow(ValidationException::class);
})->with(['', '99999']);

it('lets nobody take, or write anew, what was made for another job', function () {
    walkTo($this->job);
    ($this->make)($this->stick, '0071', $this->job)->assertSessionHasNoErrors();
    $other = $this->jobFrom('new-capstan', $this->people['evening']);
    $seen = (string) $other->refresh()->last_entry;
    $this->post("/jobs/{$other->id}/stick", ['stick' => $this->stick, 'seen' => $seen])
        ->assertSessionHasErrors('stick');
    expect(session('errors')->first('stick'))->toContain("is kept for {$this->job->title}");
    ($this->make)($this->stick, '0071', $other)->assertSessionHasErrors('stick');
    $this->post("/shelf/{$this->file->id}/builds", ['stick' => $this->stick, 'serial' => '0071', 'way' => 'raw'])
        ->assertSessionHasErrors('stick');
    ($this->make)($this->stick, '0071', $this->job)->assertSessionHasNoErrors();
    expect(StickBuild::query()->count())->toBe(2);
    // A path names another job by its number alone: what it is called is that job's, and goes with it.
    expect(json_encode($other->currentPlan()->typed()->toArray()))->toContain("kept for job {$this->job->id} until")
        ->not->toContain("kept for {$this->job->title}");
});

it('checks no image by a checksum that nobody stands for', function (
    ?string $published,
    string $why,
) {
    walkTo($this->job);
    ($this->gull)();
    $this->file->update(['published_sha256' => $published]);
    $seen = (string) $this->job->refresh()->last_entry;
    $answer = $this->post("/jobs/{$this->job->id}/stick", ['stick' => 'gull-32', 'seen' => $seen]);
    $said = session('said') ?? session('errors')?->first('stick');
    $checked = app(JobBridge::class)->progress($this->job->refresh())->finished();
    expect($said)->toContain($why)->and($checked)->not->toContain('image.check');
    $answer->assertRedirect();
})->with([
    'another was published' => [str_repeat('a', 64), 'its checksum is not the published one'],
    'none was, and the path names another' => [null, 'and nobody has published one for this file'],
]);
