<?php

use App\Actions\ScanShelf;
use App\Bridge\FilesForStick;
use App\Bridge\StickRegister;
use App\Devices\Command;
use App\Models\Job;
use App\Models\LogRecord;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Runbook\EntryKind;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    foreach (['114', '116'] as $version) {
        $file = "{$this->shop->folder}/shelf/nf13-{$version}.cap";
        file_put_contents($file, "NF13 {$version} ".random_bytes(90_000));
        touch($file, time() - 60);
    }
    app(ScanShelf::class)->handle();
    $this->job = $this->jobFrom('firmware-update', $this->people['evening']);
    $this->page = "/jobs/{$this->job->id}/stick";
    $this->make = fn (string $stick, string $serial) => $this->post("{$this->page}/files", [
        'stick' => $stick, 'serial' => $serial,
    ]);
});
afterEach(fn () => $this->shop->clear());

function laidBefore(Job $job, string $stone): void
{
    foreach ($job->currentPlan()->typed()->steps as $step) {
        if ($step->id === $stone) {
            return;
        }
        $log = app(App\Actions\LogBook::class);
        $log->write(Job::locked($job->id), test()->people['evening'], EntryKind::Done, $step->id);
    }
}

it('plans, builds and proves a stick with the firmware files under the names that the board looks for', function () {
    laidBefore($this->job, 'firmware.stick');
    $this->get($this->page)
        ->assertOk()
        ->assertSee('Stick with the firmware files')
        ->assertSee('NF13.CAP')
        ->assertSee('LATER-1.16/NF13.CAP')
        ->assertSee('no checksum of the maker is known');
    ($this->make)('harbour-16', 'XXXX')->assertSessionHasErrors('serial');
    ($this->make)('harbour-16', '0071')->assertSessionHasNoErrors();
    $build = StickBuild::query()->sole();
    expect($build->state)->toBe('done', (string) $build->fault)
        ->and(StickState::of('harbour-16')->condition)->toBe(StickCondition::Good)
        ->and($build->result['laid'])->toBe(['Firmware stick']);
    $stick = app(StickRegister::class)->device('harbour-16')->path();
    putenv('MTOOLS_SKIP_CHECK=1');
    $shelf = fn (string $version): string => hash_file('sha256', "{$this->shop->folder}/shelf/nf13-{$version}.cap");
    foreach (['NF13.CAP' => '114', 'LATER-1.16/NF13.CAP' => '116'] as $path => $version) {
        $bytes = Command::run(['mtype', '-i', "{$stick}@@1048576", "::/{$path}"], 30);
        expect(hash('sha256', $bytes))->toBe($shelf($version));
    }
    $said = LogRecord::query()->where('job_id', $this->job->id)->where('step', 'firmware.stick')->get();
    expect($said->pluck('kind')->map(fn ($kind) => $kind->value ?? $kind)->all())->toContain('done')
        ->and(json_encode($said->last()->data))->toContain('2 files read back');
    $this->get($this->page)->assertSee('was made for this job');
    $this->get("/sticks/harbour-16/builds/{$build->id}/make-stick.sh")->assertOk()->assertDontSee('7zz');
});

it('makes nothing of files that are not there, or not the maker\'s', function () {
    ShelfFile::query()->where('name', 'nf13-116.cap')->update(['published_sha256' => str_repeat('a', 64)]);
    unlink("{$this->shop->folder}/shelf/nf13-114.cap");
    app(ScanShelf::class)->handle();
    $this->get($this->page)
        ->assertSee('nf13-114.cap is not on the shelf')
        ->assertSee('The checksum of nf13-116.cap is not the maker', false)
        ->assertDontSee('It is this stick');
    ($this->make)('harbour-16', '0071')->assertSessionHasErrors('files');
    expect(StickBuild::query()->count())->toBe(0)->and(FilesForStick::of($this->job)?->mark())->toBeNull();
});

it('lays its stone later where the path is not so far, and never for other files', function () {
    ($this->make)('harbour-16', '0071')->assertSessionHasNoErrors();
    $build = StickBuild::query()->sole();
    expect($build->state)->toBe('done')
        ->and($build->result['laid'])->toBe([])
        ->and(array_keys($build->result['waits']))->toBe(['Firmware stick']);
    $this->get("/sticks/harbour-16/builds/{$build->id}")->assertOk()->assertSee('Firmware stick');
    $this->get($this->page)->assertSee('Lay what it proves');
    laidBefore($this->job->refresh(), 'firmware.stick');
    $this->post($this->page, ['stick' => 'harbour-16', 'seen' => (string) $this->job->refresh()->last_entry])
        ->assertSessionHasNoErrors();
    $this->get($this->page)->assertSee('Its stone is laid.')->assertDontSee('Lay what it proves');
    $this->post($this->page, ['stick' => 'gull-32', 'seen' => (string) $this->job->refresh()->last_entry])
        ->assertSessionHasErrors('stick');
    $this->get('/jobs/'.$this->jobFrom('repair', $this->people['evening'])->id.'/stick')->assertOk();
});
