<?php

use App\Models\DeviceLook;
use App\Models\LogRecord;
use Illuminate\Http\UploadedFile;

beforeEach(function () {
    $this->people = $this->bench();
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->actingAs($this->people['lead']);
});

it('shows every device with its package, and the stone that installs it', function () {
    $this->get("/jobs/{$this->job->id}/drivers")
        ->assertOk()
        ->assertSee('6 devices: 5 have their package ready, 1 has it on the stick.')
        ->assertSee('claims pci:51a2:0202')
        ->assertSee("/jobs/{$this->job->id}?stone=drivers.quarrel-w2-wireless", false)
        ->assertSee('Nobody has counted yet.');
});

it('counts looks at the devices against each other, keeps them in the log, and names what is left', function () {
    $list = static fn (string $wireless, string $x): string => "Name,Hardware IDs,Status\n"
        ."Ostler C8 chipset,PCI\\VEN_4F51&DEV_0C80,OK\nQuarrel W2 wireless,PCI\\VEN_51A2&DEV_0202,{$wireless}\n"
        ."<b>Odd</b> thing,PCI\\VEN_4F51&DEV_9999,{$x}\n";
    $post = fn (array $with) => $this->post("/jobs/{$this->job->id}/drivers", [
        'seen' => (int) LogRecord::query()->where('job_id', $this->job->id)->max('id'),
        ...$with,
    ]);
    $post(['output' => $list('Code 28', 'Error')])->assertRedirect("/jobs/{$this->job->id}/drivers#audit");
    $after = UploadedFile::fake()->createWithContent('after.csv', $list('OK', 'Code 28'));
    $post(['files' => [$after]])->assertRedirect();
    expect(DeviceLook::query()->pluck('source')->all())->toBe(['pasted', 'after.csv'])
        ->and(LogRecord::query()->where('kind', 'devices')->count())->toBe(2);
    $this->get("/jobs/{$this->job->id}/drivers")
        ->assertOk()
        ->assertSee('3 devices: 1 → 2')
        ->assertSee('&lt;b&gt;Odd&lt;/b&gt; thing', false)
        ->assertSee('The page of Ostler, which made this part.')
        ->assertSee('exactly Norrel Fairlead 13')
        ->assertSee('last look: has a driver');
    $this->get("/jobs/{$this->job->id}/log")->assertOk()->assertSee('2 of 3 have a driver');
});

it('says what is wrong with a list, keeps what was typed, and keeps no look', function (string $typed, string $words) {
    $this->from("/jobs/{$this->job->id}/drivers")
        ->post("/jobs/{$this->job->id}/drivers", ['output' => $typed, 'seen' => 1_000_000])
        ->assertRedirect("/jobs/{$this->job->id}/drivers")
        ->assertSessionHasErrors('output');
    $this->get("/jobs/{$this->job->id}/drivers")->assertSee($words);
    expect(DeviceLook::query()->count())->toBe(0);
})->with([
    'nothing' => ['', 'No device was found in it.'],
    'no list' => ['the wireless does not work', 'the wireless does not work'],
    'a list without identifiers' => ["Name,Hardware IDs\nThing,none\n", 'No device was found in it.'],
]);

it('lets nobody count who only looks on', function () {
    $this->actingAs($this->people['viewer'])
        ->get("/jobs/{$this->job->id}/drivers")
        ->assertOk()
        ->assertDontSee('Count them');
    $this->post("/jobs/{$this->job->id}/drivers", ['output' => 'x'])->assertForbidden();
});

it('says why there is no shelf for a job that installs no system', function () {
    $job = $this->jobFrom('firmware-update', $this->people['lead']);
    $this->get("/jobs/{$job->id}/drivers")->assertOk()->assertSee('This job installs no system');
});

it('says of devices alike how many have a driver at the last look', function () {
    $list = "Name,Hardware IDs,Status\nOstler port,PCI\\VEN_4F51&DEV_7777,Error\n"
        ."Ostler port,PCI\\VEN_4F51&DEV_7777,OK\n";
    $this->post("/jobs/{$this->job->id}/readings", ['output' => $list, 'seen' => $this->job->fresh()->last_entry]);
    $seen = $this->job->fresh()->last_entry;
    $this->post("/jobs/{$this->job->id}/drivers", ['output' => $list, 'seen' => $seen])->assertSessionHasNoErrors();
    $page = $this->get("/jobs/{$this->job->id}/drivers")->getContent();
    expect($page)->toContain('last look: 1 of 2 have a driver: Error');
});
