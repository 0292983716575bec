<?php

use App\Models\FinishedReading;
use App\Models\LogRecord;
use App\Models\SeenRow;
use Cobblestone\Tuning\Acceptance;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    $this->job = $this->jobFrom('fairlead-13', $this->people['evening']);
    $this->at = "/jobs/{$this->job->id}/acceptance";
    $this->page = fn () => $this->get($this->at)->assertOk();
    $this->seen = fn (): int => (int) $this->job->refresh()->last_entry;
    $this->bundle = function (array $faults = []): UploadedFile {
        $path = sys_get_temp_dir().'/page-'.bin2hex(random_bytes(5)).'.tar.gz';
        Artisan::call('cobblestone:stand-in-machine', [
            'brief' => (string) $this->job->id, 'out' => $path, '--fault' => $faults,
        ]);

        return new UploadedFile($path, 'machine.tar.gz', test: true);
    };
    $this->read = fn (array $files, string $output = '') => $this->post("{$this->at}/readings", [
        'files' => $files, 'output' => $output, 'seen' => ($this->seen)(),
    ]);
    $this->write = fn (array $rows, array $accepted = []) => $this->post($this->at, [
        'evidence' => $rows, 'accepted' => $accepted, 'seen' => ($this->seen)(),
    ]);
});

it('stands empty before anybody has read it', function () {
    ($this->page)()->assertSee('27 rows: 27 nobody has read.')
        ->assertSee('The finished machine was not read yet')
        ->assertSee('Settings, Machine, &quot;Parts&quot;', false)
        ->assertDontSee('Sign the open rows');
});

it('reads a bundle, compares it, and tells what is otherwise than before', function () {
    ($this->read)([($this->bundle)(['old-driver'])])->assertRedirect($this->at)->assertSessionHasNoErrors();
    ($this->page)()->assertSee('27 rows: 13 as expected, 1 differs, 13 nobody has read.')
        ->assertSee('install its package once more')
        ->assertSee('dmidecode.txt')
        // What the drive held when it came stands in the brief, what it holds now in the bundle.
        ->assertSee('<h3>Drives</h3>', false)
        ->assertSee('says anything of: memory, settings.')
        ->assertSeeInOrder(['version of its driver', 'Edition of Tansy Desktop 7']);
    expect(LogRecord::query()->where('kind', 'finished-read')->sole()->data['text'])->toContain('dmidecode');
    // The same machine read again, mended: the newer reading counts.
    ($this->read)([($this->bundle)()]);
    ($this->page)()->assertSee('14 as expected, 13 nobody has read.');
    expect(FinishedReading::query()->count())->toBe(2);
});

it('takes what a single tool prints', function () {
    ($this->read)([], "SecureBoot disabled\n")->assertSessionHasNoErrors();
    ($this->page)()->assertSee('1 differs')->assertSee('Set it as the path says');
});

it('takes no part of a list of devices for the whole of it, and says so', function () {
    $devices = ['name,hardware id,status'];
    foreach (range(1, 7) as $at) {
        $devices[] = "Part {$at},PCI\\VEN_51A2&DEV_090{$at},OK";
    }
    $brief = fn (string $list): array => [
        'tool' => 'device-list', 'origin' => 'list.csv',
        'devices' => Cobblestone\Inventory\InventoryReader::read($list, 'list.csv', null)->toArray()['devices'],
    ];
    app(App\Actions\ChangeBrief::class)->handle(
        $this->job,
        $this->people['evening'],
        fn (array $of): array => [...$of, 'machine' => [
            ...$of['machine'], 'readings' => [...$of['machine']['readings'] ?? [], $brief(implode("\n", $devices))],
        ]],
        'devices read',
        ($this->seen)(),
    );
    ($this->read)([], implode("\n", array_slice($devices, 0, 3)))->assertSessionHasNoErrors();
    ($this->page)()->assertSee('it looks like a part of one')
        ->assertSee('2 as expected, ')
        ->assertDontSee(' differ, ')
        ->assertDontSee(' differs, ')
        // The form stays where it was, folded.
        ->assertSeeInOrder(['Read 1 time; read it again', 'What it is against what it should be']);
    ($this->read)([], implode("\n", array_slice($devices, 0, 7)))->assertSessionHasNoErrors();
    ($this->page)()->assertDontSee('it looks like a part of one')->assertSee('1 differs');
});

it('refuses another machine, and what no tool has printed', function () {
    ($this->read)([($this->bundle)()])->assertSessionHasNoErrors();
    $this->job->refresh();
    ($this->read)([], 'hello')->assertSessionHasErrors(['output']);
    ($this->read)([])->assertSessionHasErrors(['output' => 'Choose the bundle of the finished machine, or paste what '
        .'a tool printed on it.']);
    expect(FinishedReading::query()->count())->toBe(1);
});

it('stops at the serial of another machine', function () {
    app(App\Actions\ChangeBrief::class)->handle(
        $this->job,
        $this->people['evening'],
        fn (array $brief): array => [...$brief, 'machine' => [
            ...$brief['machine'], 'facts' => [...$brief['machine']['facts'] ?? [], 'machine.serial' => 'NF13-1'],
        ]],
        'serial typed',
        ($this->seen)(),
    );
    ($this->read)([($this->bundle)(['other-machine'])])->assertSessionHasErrors(['output']);
    expect(FinishedReading::query()->count())->toBe(0);
    ($this->read)([($this->bundle)()])->assertSessionHasNoErrors();
});

it('keeps what a person writes down, and says what cannot be taken', function () {
    ($this->write)(['sound' => 'works', 'updates_found' => '0', 'sockets' => ['USB-C left side rear']])
        ->assertRedirect($this->at)->assertSessionHasNoErrors();
    ($this->page)()->assertSee('2 as expected, 1 differs')
        ->assertSee('Missing: USB-C left side front, USB-A right side')
        ->assertSee('evening technician');
    ($this->write)(['updates_found' => 'many'])->assertSessionHasErrors(['updates_found']);
    ($this->write)([])->assertSessionHasErrors(['rows' => 'Nothing was written down.']);
    ($this->write)(['nonsense' => 'x'])->assertSessionHasErrors(['rows']);
    expect(SeenRow::query()->count())->toBe(3);
    // Looked at again: the newest counts, the older one stays on record.
    ($this->write)(['updates_found' => '2']);
    ($this->page)()->assertSee('1 as expected, 2 differ');
    expect(SeenRow::query()->where('row', 'updates_found')->count())->toBe(2);
});

it('lets the lead accept what differs, and nobody else', function () {
    ($this->write)(['sound' => 'fails'], ['sound' => 'no speaker was ordered']);
    expect(SeenRow::query()->whereNotNull('reason')->count())->toBe(0);
    $this->post("{$this->at}/leave", ['reason' => 'no time', 'seen' => ($this->seen)()])->assertForbidden();
    $this->actingAs($this->people['lead']);
    ($this->write)([], ['sound' => 'no speaker was ordered'])->assertSessionHasNoErrors();
    ($this->page)()->assertSee('Accepted by the bench lead:')->assertSee('no speaker was ordered');
    // Seen otherwise later, the signature does not cover it.
    ($this->write)(['sound' => 'works']);
    ($this->page)()->assertDontSee('Accepted by the');
});

it('leaves rows open with the lead\'s reason, until somebody reads them', function () {
    $this->actingAs($this->people['lead']);
    $this->post("{$this->at}/leave", ['reason' => ' ', 'seen' => ($this->seen)()])->assertSessionHasErrors('reason');
    $this->post("{$this->at}/leave", ['reason' => 'the owner waits', 'seen' => ($this->seen)()])
        ->assertSessionHasNoErrors();
    expect(SeenRow::query()->count())->toBe(27);
    ($this->page)()->assertSee('27 nobody has read')->assertSee('the owner waits');
    ($this->read)([($this->bundle)()]);
    ($this->page)()->assertSee('14 as expected, 13 nobody has read');
});

it('lays the readings with what is known, and holds at what differs', function () {
    $lead = $this->people['lead'];
    $before = $this->job->currentPlan()->typed()->steps;
    $at = array_search(Acceptance::STEP, array_column($before, 'id'), true);
    layUpTo($this->job, $lead, $before[$at - 1]->id, 20);
    ($this->read)([($this->bundle)(['secure-boot'])]);
    $typed = [
        'system' => 'Dock', 'sound' => 'works', 'camera' => 'works', 'wireless' => 'works', 'updates_found' => '0',
        'sockets' => ['USB-C left side rear', 'USB-C left side front', 'USB-A right side'],
        'setting.boot_mode' => 'uefi', 'setting.older_devices' => 'off', 'setting.security_chip' => 'on',
        'activated' => 'yes', 'sleep' => 'works', 'clock' => 'yes', 'display_scale' => '150',
    ];
    ($this->write)($typed)->assertSessionHasNoErrors();
    $this->get("/jobs/{$this->job->id}/run")->assertSee('24 as expected, 1 differs')
        ->assertSee('Read, and as expected');
    $done = fn (array $with = []) => $this->post("/jobs/{$this->job->id}/steps/proof.readings/done", [
        'seen' => ($this->seen)(), 'before_clock' => '1', ...$with,
    ]);
    $done()->assertSessionHasErrors('setting.secure_boot');
    // A signature that a form brings along is none.
    $done(['accepted' => ['setting.secure_boot' => ['reason' => 'x', 'role' => 'lead']]])->assertSessionHasErrors();
    $this->actingAs($lead);
    ($this->write)([], ['setting.secure_boot' => 'set it back tomorrow']);
    $this->actingAs($this->people['evening']);
    $done()->assertSessionHasNoErrors();
    $entry = LogRecord::query()->where('kind', 'done')->where('step', Acceptance::STEP)->sole();
    expect($entry->data['evidence']['cores'])->toBe('8')
        ->and($entry->data['overruled'])->toBe(['setting.secure_boot' => 'set it back tomorrow (bench lead)'])
        ->and(count($entry->data['findings']))->toBe(25);
    $this->get("/jobs/{$this->job->id}/handover")->assertSee('more readings compared')
        ->assertSee('set it back tomorrow');
});

it('gives the rows to take away, with nothing a table would run', function () {
    ($this->write)(['setting.boot_mode' => '=cmd()']);
    $csv = $this->get("{$this->at}/rows.csv")->assertOk()->assertHeader('Content-Type', 'text/csv; charset=utf-8')
        ->getContent();
    expect($csv)->toContain(",'=cmd(),")
        ->and(substr_count((string) $csv, "\n"))->toBe(28);
});

it('keeps what was written of rows that the path does not ask for any more', function () {
    SeenRow::query()->create([
        'job_id' => $this->job->id, 'user_id' => $this->people['lead']->id, 'row' => 'device.pci:dead:beef',
        'value' => 'driven', 'created_at' => now(),
    ]);
    ($this->page)()->assertSee('not asked for by this path any more')->assertSee('device.pci:dead:beef');
});

it('shows who looks on everything and nothing to press', function () {
    ($this->write)(['sound' => 'fails']);
    $this->actingAs($this->people['viewer']);
    ($this->page)()->assertSee('does not work')->assertDontSee('Write it down')->assertDontSee('Read the finished');
    $this->post($this->at, ['evidence' => ['sound' => 'works']])->assertForbidden();
});

it('has nothing to read where no machine is at the end', function () {
    $job = $this->jobFrom('stick-for-any', $this->people['evening']);
    $this->get("/jobs/{$job->id}/acceptance")->assertOk()->assertSee('ends without a machine');
    $this->get("/jobs/{$job->id}/acceptance/rows.csv")->assertNotFound();
});
