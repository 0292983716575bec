<?php

use App\Actions\OpenJob;
use App\Actions\ScanShelf;
use App\Bridge\StickRegister;
use App\Devices\Command;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickState;
use Cobblestone\Media\WantedStick;
use Cobblestone\Runbook\EntryKind;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    touch($this->shop->image('plain.iso'), time() - 60);
    app(ScanShelf::class)->handle();
    ShelfFile::query()->sole()->update([
        'about' => ['line' => 'Orrin Desktop 3', 'version' => '3.1', 'architecture' => 'x86-64'],
    ]);
    $this->job = app(OpenJob::class)->handle($this->people['evening'], [
        'brief' => 1, 'title' => 'read first', 'system' => 'tansy-desktop-7', 'image' => 'tansy-desktop-7-dock',
        'machine' => ['model' => 'norrel-fairlead-13', 'facts' => ['owner.keep' => 'nothing']], 'collect' => true,
    ])->refresh();
});
afterEach(fn () => $this->shop->clear());

it('builds the stick with the collector on it beside storage, and lays its stone', function () {
    $stick = (string) WantedStick::collecting($this->job->currentPlan()->typed())?->stick;
    $serial = (string) app(StickRegister::class)->find($stick)?->serial;
    $this->get("/jobs/{$this->job->id}/stick")->assertOk()->assertSee('Collecting stick')->assertSee('plain.iso');
    foreach ($this->job->currentPlan()->typed()->steps as $step) {
        if ($step->id === 'collect.stick') {
            break;
        }
        $log = app(App\Actions\LogBook::class);
        $log->write(App\Models\Job::locked($this->job->id), $this->people['evening'], EntryKind::Done, $step->id);
    }
    $make = fn (string $typed) => $this->post("/jobs/{$this->job->id}/stick/collect", [
        'stick' => $stick, 'serial' => $typed,
    ]);
    $make('XXXX')->assertSessionHasErrors('serial');
    $make(substr($serial, -4))->assertSessionHasNoErrors();
    $build = StickBuild::query()->sole();
    expect($build->state)->toBe('done', (string) $build->fault)
        ->and($build->result['laid'])->toBe(['Collecting stick']);
    $path = app(StickRegister::class)->device($stick)->path();
    putenv('MTOOLS_SKIP_CHECK=1');
    expect(Command::run(['mtype', '-i', "{$path}@@1048576", '::/DRIVERS/cobblestone-collect'], 30))
        ->toBe((string) file_get_contents(base_path('collector/cobblestone-collect')))
        ->and(count(StickState::of($stick)->content['parts']))->toBe(2);
});

it('says that no medium of the shelf will do', function () {
    unlink("{$this->shop->folder}/shelf/plain.iso");
    app(ScanShelf::class)->handle();
    $this->get("/jobs/{$this->job->id}/stick")->assertOk()->assertSee('No image on the shelf is Orrin Desktop 3 image');
    $this->post("/jobs/{$this->job->id}/stick/collect", ['stick' => 'gull-32'])->assertSessionHasErrors('collect');
});
