<?php

use App\Bridge\StickRegister;
use App\Catalogue\CatalogueStore;
use App\Devices\Emulated\DriveFile;
use App\Devices\StandIn\DemoLoader;
use App\Jobs\StartMedium;
use App\Models\ProvingStart;
use Cobblestone\Boot\StartFound;
use Cobblestone\Findings\Findings;
use Cobblestone\Findings\Layouts;
use Cobblestone\Media\WantedStick;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\Support\LeftBehind;
use Tests\Support\Sticks;
use Tests\Support\Workshop;

pest()->group('slow');

beforeEach(function () {
    $this->shop = new Workshop;
    config(['cobblestone.state' => "{$this->shop->folder}/state"]);
    $this->people = $this->bench();
    $this->before = LeftBehind::now();
    $this->actingAs($this->people['evening']);
    $this->stick = app(StickRegister::class)->device('gull-32')->path();
    copy((new Sticks($this->shop->folder))->make('hybrid-raw'), $this->stick);
});
afterEach(function () {
    $this->shop->clear();
    expect(array_diff(LeftBehind::now(), $this->before))->toBe([]);
});

it('starts a stick of the register here, and shows it beside its prediction', function () {
    $before = hash_file('sha256', $this->stick);
    $this->post('/sticks/gull-32/starts', ['as' => 'bios'])->assertSessionHasNoErrors();
    $start = ProvingStart::query()->get()->first();
    expect([$start->state, $start->outcome, $start->fault])->toBe(['done', 'starts', null])
        ->and($start->printed)->toContain('boot:')
        ->and(getimagesize($start->picture())['mime'])->toBe('image/png')
        ->and(hash_file('sha256', $this->stick))->toBe($before);
    $this->get("/starts/{$start->id}")->assertSee('It starts: what lies on the medium runs.')
        ->assertSee('As predicted.')->assertSee("/starts/{$start->id}/picture?n=", false);
    $this->get('/sticks/gull-32/starts')->assertSee('the old way (BIOS)')->assertSee('As predicted.');
});

it('ends a machine that somebody stops, and leaves nothing of it', function () {
    Queue::fake();
    $this->post('/sticks/gull-32/starts', ['as' => 'uefi']);
    $start = ProvingStart::query()->get()->first();
    // At the first word that the machine tells of itself.
    DB::listen(static function ($query) use ($start): void {
        if (str_contains($query->sql, '"seconds"')) {
            DB::table('proving_starts')->where('id', $start->id)->update(['state' => 'stopped']);
        }
    });
    (new StartMedium($start->id))->handle(app(StickRegister::class), app(CatalogueStore::class));
    expect($start->refresh()->state)->toBe('stopped')->and($start->outcome)->toBeNull();
});

it('says that a medium went while it waited', function () {
    Queue::fake();
    $this->post('/sticks/gull-32/starts', ['as' => 'bios']);
    $start = ProvingStart::query()->get()->first();
    file_put_contents(config('cobblestone.sticks').'/gull-32.json', json_encode(['gone' => true]));
    (new StartMedium($start->id))->handle(app(StickRegister::class), app(CatalogueStore::class));
    expect($start->refresh()->state)->toBe('failed')->and($start->fault)->toContain('not there any more');
});

it('lets an installer work on a blank drive like the job\'s, and starts what it put there', function () {
    $signers = "{$this->shop->folder}/signers";
    foreach (['platform', 'third-party'] as $signer) {
        copy(database_path("demo/signers/{$signer}.key"), "{$this->shop->folder}/{$signer}.key");
        copy(database_path("demo/signers/{$signer}.pem"), "{$signers}/{$signer}.pem");
    }
    $job = $this->jobFrom('new-capstan', $this->people['evening']);
    $wanted = WantedStick::of($job->currentPlan()->typed());
    $loader = DemoLoader::installer('Skerry Rolling installer', 'platform', $this->shop->folder, $signers);
    $made = "{$this->shop->folder}/made.img";
    Workshop::says('mkfs.vfat', '-C', $made, '65536');
    Workshop::says('mmd', '-i', $made, '::/EFI', '::/EFI/BOOT');
    Workshop::says('mcopy', '-i', $made, $loader, '::/EFI/BOOT/BOOTX64.EFI');
    $stick = app(StickRegister::class)->device((string) $wanted?->stick);
    $stick->settle();
    $handle = fopen($stick->path(), 'r+b');
    stream_copy_to_stream(fopen($made, 'rb'), $handle);
    fclose($handle);
    $at = array_values(array_filter(
        Findings::of($job->currentPlan()->typed())->rehearsal,
        static fn (StartFound $one): bool => $one->as !== null,
    ))[0];
    $this->post("/jobs/{$job->id}/rehearsal/start", ['step' => $at->step, 'number' => (string) $at->number])
        ->assertSessionHasNoErrors();
    $start = ProvingStart::query()->get()->last();
    $target = Layouts::of($job->currentPlan()->typed())->target;
    expect([$start->state, $start->outcome, $start->fault])->toBe(['done', 'starts', null])
        ->and($start->drive_bytes)->toBe($target?->bytes)
        ->and($start->printed)->toContain('It has partitioned the drive')
        ->and($start->resets)->toBe(1)
        ->and($start->drive_found['scheme'])->toBe('gpt')
        ->and($start->drive_found['parts'][0]['loaders'])->toBe(['EFI/BOOT/BOOTX64.EFI'])
        ->and(filesize($start->drive()))->toBeLessThan(5_000_000);
    // What it wrote, judged by others' tools.
    $raw = (new DriveFile($start->drive()))->asRaw("{$this->shop->folder}/drive.raw");
    Workshop::says('sfdisk', '--verify', '--quiet', $raw);
    Workshop::says('sh', '-c', "dd if='{$raw}' bs=512 skip=2048 count=532480 of='{$raw}.vol' status=none");
    expect(Workshop::says('fsck.vfat', '-n', "{$raw}.vol"))->not->toContain('differ');
    $this->get("/starts/{$start->id}")->assertSee('EFI system, 260.0 MiB, FAT32')->assertSee('Next power-on');
    $this->post("/starts/{$start->id}/next")->assertSessionHasNoErrors();
    $next = ProvingStart::query()->get()->last();
    expect([$next->state, $next->outcome, $next->fault])->toBe(['done', 'starts', null])
        ->and($next->drive_of)->toBe($start->id)
        ->and($next->predicted)->toBe('starts')
        ->and($next->printed)->toContain('Skerry Rolling installer, installed (stand-in): it started.');
    $this->get("/jobs/{$job->id}/rehearsal")->assertSee('Its next power-on')->assertSee("/starts/{$start->id}", false);
    unlink($next->drive());
    $this->post("/starts/{$next->id}/next")->assertSessionHasErrors('as');
});
