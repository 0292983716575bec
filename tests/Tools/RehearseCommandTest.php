<?php

use App\Bridge\StickRehearsal;
use App\Catalogue\CatalogueFolder;
use Cobblestone\Boot\Model\Outcome;
use Illuminate\Support\Facades\Artisan;
use Tests\Support\Sticks;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop();
    $this->sticks = new Sticks($this->shop->folder);
    $this->rehearse = function (array $arguments): array {
        $code = Artisan::call('cobblestone:rehearse', $arguments);

        return [$code, Artisan::output()];
    };
});
afterEach(fn () => $this->shop->clear());

it('rehearses a brief and the plan made from it alike', function (string $brief, int $code) {
    [$first, $text] = ($this->rehearse)(['path' => base_path("docs/guide/briefs/{$brief}.yaml"), '--json' => true]);
    $found = json_decode($text, true);
    expect($first)
        ->toBe($code)
        ->and($found['path'])
        ->toBe("{$brief}.yaml")
        ->and($found['fails'] > 0)
        ->toBe($code === 2)
        ->and($found['power_ons'][0])
        ->toHaveKeys([
            'step',
            'wants',
            'outcome',
            'stones',
            'ground',
            'seen',
            'cause',
            'fix',
            'possible',
            'settled_by',
            'otherwise',
        ]);
    Artisan::call('cobblestone:plan', [
        'brief' => base_path("docs/guide/briefs/{$brief}.yaml"),
        '--out' => ($plan = "{$this->shop->folder}/plan.json"),
    ]);
    [$second, $again] = ($this->rehearse)(['path' => $plan, '--json' => true]);
    expect($second)->toBe($code)->and(json_decode($again, true)['power_ons'])->toEqual($found['power_ons']);
    [, $words] = ($this->rehearse)(['path' => $plan]);
    expect($words)->toContain($found['power_ons'][0]['title']);
})->with([['firmware-update', 0], ['locked-capstan', 2], ['unknown-laptop', 0]]);

it('predicts a real stick on a model, with other settings, and by its own keys', function () {
    $image = $this->sticks->make('gpt-other-signer');
    [$code, $text] = ($this->rehearse)([
        '--image' => $image,
        '--machine' => 'brackwater-capstan-t3',
        '--json' => true,
    ]);
    $found = json_decode($text, true);
    // Signed by the demo world's platform signer, which every model trusts.
    expect($code)
        ->toBe(0)
        ->and($found['outcome'])
        ->toBe('starts')
        ->and($found['machine'])
        ->toBe('brackwater-capstan-t3')
        ->and(array_column($found['chain'], 'name'))
        ->toContain('signature');
    $signed = $this->sticks->make('gpt-signed');
    $outcome = function (array $more) use ($signed): string {
        [, $text] = ($this->rehearse)(['--image' => $signed, '--json' => true, ...$more]);

        return json_decode($text, true)['outcome'];
    };
    expect($outcome(['--machine' => 'brackwater-capstan-t3']))
        ->toBe('refused-secure-boot')
        ->and($outcome(['--machine' => 'brackwater-capstan-t3', '--set' => ['secure_boot=off']]))
        ->toBe('starts')
        ->and($outcome(['--machine' => 'norrel-fairlead-13', '--set' => ['boot_mode=legacy']]))
        ->toBe('silent')
        ->and($outcome(['--firmware' => 'uefi-secure', '--keys' => ['/usr/share/ovmf/PkKek-1-snakeoil.pem']]))
        ->toBe('starts')
        ->and($outcome(['--firmware' => 'uefi-secure']))
        ->toBe('refused-secure-boot')
        ->and($outcome(['--firmware' => 'bios']))
        ->toBe('silent');
    [, $words] = ($this->rehearse)(['--image' => $signed, '--firmware' => 'uefi-secure']);
    expect($words)->toContain('refused by Secure Boot')->toContain('Mend it:')->toContain('× signature');
});

it('says what is wrong with what it was asked', function (array $arguments, string $words) {
    $arguments = array_map(fn ($value) => $value === 'IMAGE' ? $this->sticks->make('zeros') : $value, $arguments);
    $process = new Symfony\Component\Process\Process([
        'php',
        base_path('artisan'),
        'cobblestone:rehearse',
        ...array_merge(
            ...array_map(
                fn ($name, $value): array => array_map(
                    fn ($one): string => is_int($name) ? $one : "{$name}={$one}",
                    (array) $value,
                ),
                array_keys($arguments),
                $arguments,
            ),
        ),
    ]);
    $process->run();
    expect($process->getExitCode())
        ->toBe(1)
        ->and($process->getErrorOutput())
        ->toContain($words)
        ->not->toContain('Stack trace');
})->with([
    'nothing' => [[], 'Name a brief or a plan'],
    'no machine' => [['--image' => 'IMAGE'], 'Name either --machine=MODEL or --firmware='],
    'both' => [['--image' => 'IMAGE', '--machine' => 'x', '--firmware' => 'uefi'], 'Name either'],
    'no such model' => [['--image' => 'IMAGE', '--machine' => 'teapot'], 'teapot'],
    'no such firmware' => [
        ['--image' => 'IMAGE', '--firmware' => 'tea'],
        '--firmware=tea: choose uefi, uefi-secure, bios',
    ],
    'no such setting' => [
        ['--image' => 'IMAGE', '--firmware' => 'uefi', '--set' => ['tea=on']],
        '--set tea: there is no such setting',
    ],
    'no such value' => [
        ['--image' => 'IMAGE', '--machine' => 'norrel-fairlead-13', '--set' => ['boot_mode=tea']],
        '--set boot_mode=tea: it can be uefi, both, legacy',
    ],
    'half a setting' => [
        ['--image' => 'IMAGE', '--firmware' => 'uefi', '--set' => ['secure_boot']],
        'write it as name=value',
    ],
    'no such image' => [['--image' => '/nowhere', '--firmware' => 'uefi'], 'there is no such file'],
    'no such key file' => [
        ['--image' => 'IMAGE', '--firmware' => 'uefi', '--keys' => ['/nowhere']],
        'there is no such file',
    ],
    'no keys in it' => [
        ['--image' => 'IMAGE', '--firmware' => 'uefi', '--keys' => ['/etc/hostname']],
        'neither a certificate',
    ],
    'no plan' => [['/nowhere.json'], 'there is no such file'],
    'not a plan' => [[dirname(__DIR__, 2).'/composer.json'], 'this is no plan of format 1'],
]);

it('says that a packed image is not what stands on a stick', function () {
    Workshop::says('gzip', '-k', $this->sticks->make('gpt-fat32'));
    [, $text] = ($this->rehearse)([
        '--image' => $this->sticks->make('gpt-fat32').'.gz',
        '--firmware' => 'uefi',
        '--json' => true,
    ]);
    expect(json_decode($text, true)['outcome'])
        ->toBe('no-boot-device')
        ->and(json_decode($text, true)['notes'][0])
        ->toContain('packed (gzip)');
});

it('survives damaged plans and images with a sentence', function () {
    Artisan::call('cobblestone:plan', [
        'brief' => base_path('docs/guide/briefs/fairlead-13.yaml'),
        '--out' => ($plan = "{$this->shop->folder}/plan.json"),
    ]);
    $data = json_decode((string) file_get_contents($plan), true);
    foreach (
        [
            fn ($d) => [...$d, 'steps' => [['id' => 'x']]],
            fn ($d) => [...$d, 'assessment' => ['boot' => ['state' => 'x']]],
            fn ($d) => [
                ...$d,
                'assessment' => [
                    'boot' => [
                        ...$d['assessment']['boot'],
                        'state' => [...$d['assessment']['boot']['state'], 'devices' => [['id' => 1]]],
                    ],
                ],
            ],
        ] as $break
    ) {
        file_put_contents($plan, json_encode($break($data)));
        [$code] = ($this->rehearse)(['path' => $plan]);
        expect($code)->toBe(1);
    }
    foreach (['random', 'zeros'] as $kind) {
        foreach (['uefi', 'uefi-secure', 'bios'] as $firmware) {
            [$code, $text] = ($this->rehearse)([
                '--image' => $this->sticks->make($kind),
                '--firmware' => $firmware,
                '--json' => true,
            ]);
            expect($code)->toBe(0)->and(json_decode($text, true)['outcome'])->toBe('no-boot-device');
        }
    }
});

it('shows a stick and an image against every model', function () {
    $people = $this->bench();
    $this->actingAs($people['viewer']);
    $rows = (new StickRehearsal(CatalogueFolder::read(base_path('catalogue'))->catalogue()))->everywhere(
        $this->sticks->make('gpt-fat32'),
    );
    expect(
        array_map(fn (array $row): Outcome => $row['possible']->likeliest()->outcome, array_column($rows, null, 'id')),
    )->toEqual([
        'brackwater-capstan-t1' => Outcome::Silent,
        'norrel-reedling-10' => Outcome::WrongArchitecture,
        'brackwater-capstan-t3' => Outcome::RefusedBySecureBoot,
        'norrel-fairlead-13' => Outcome::InstallerStarts,
        'norrel-fairlead-15-g' => Outcome::RefusedBySecureBoot,
        'wickley-pocket-lantern' => Outcome::RefusedBySecureBoot,
        'wickley-pocket-lantern-xl' => Outcome::RefusedBySecureBoot,
        'tamber-halden-trestle' => Outcome::RefusedBySecureBoot,
    ]);
    config(['cobblestone.sticks' => "{$this->shop->folder}/sticks"]);
    $this->get('/sticks/gull-32/starts')->assertOk()->assertSee('Where');
    $this->get('/sticks/teapot/starts')->assertNotFound();
});
