<?php

use Cobblestone\Install\InstallerPages;
use Cobblestone\Machine\Drive;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\PathFact;
use Tests\Support\Demo;
use Tests\Support\Entries;

/** @return array<string, array<string, string>> what the page is about => its row */
function installerRows(?string $licence, ?string $edition = null, ?Drive $target = null): array
{
    $about = ['start', 'purpose', 'key', 'edition', 'drive', 'other'];
    $option = static fn (string $words, string $does, string $then): array => [
        'words' => $words, 'does' => $does, 'then' => $then,
    ];
    $options = [
        'start' => [$option('Try', 'live', 'It runs.'), $option('Install', 'install', 'It installs.')],
        'purpose' => [$option('Keep', 'keep', 'It upgrades.'), $option('Anew', 'erase', 'All goes.')],
        'key' => [$option('Type it', 'type', 'It is checked.'), $option('Not now', 'skip', 'Later.')],
        'other' => [$option('English', 'go-on', 'In it.')],
    ];
    $system = Entries::system(['screens' => array_map(
        static fn (string $of): array => ['about' => $of, 'title' => "Page {$of}", 'options' => $options[$of] ?? []],
        $about,
    )]);
    $rows = (new InstallerPages($system, (string) $licence, $edition, $target))->rows();

    return array_combine($about, $rows);
}

it('says on every page what is picked, and what another pick would do', function () {
    $rows = installerRows(null, 'Dock', new Drive('/dev/x', Bytes::of(256_060_514_304)));
    expect(array_column($rows, 'pick'))
        ->toBe(['Install', 'Anew', 'Not now', 'Dock', 'the drive of 256.1 GB, or 238.5 GiB', 'English'])
        ->and($rows['start']['if one picks another'])->toBe('Try: It runs.')
        ->and($rows['purpose']['if one picks another'])->toBe('Keep: It upgrades.')
        ->and($rows['other']['if one picks another'])->toBe('')
        ->and($rows['start']['page'])->toBe('Page start');
});

it('works key and edition out from the licence', function (
    ?string $licence,
    ?string $edition,
    string $key,
    string $picked,
    string $because,
) {
    $rows = installerRows($licence, $edition);
    expect([$rows['key']['pick'], $rows['edition']['pick']])->toBe([$key, $picked])
        ->and($rows['key']['because'])->toContain($because);
})->with([
    ['firmware-key', 'Dock', 'it does not appear', 'it does not appear', 'by itself'],
    ['retail', 'Dock', 'Type it', 'Dock', 'owner\'s key'],
    ['entitlement', 'Dock', 'Not now', 'Dock', 'comes with machine or account'],
    ['none', 'Ferry', 'Not now', 'Ferry', 'due later'],
    ['unclear', 'Ferry', 'Not now', 'Ferry', 'due later'],
    [null, null, 'Not now', 'ask the owner which edition', 'nobody has said'],
]);

it('stops where the drive is not known, and proposes nothing that a page does not have', function () {
    expect(installerRows(null)['drive']['pick'])->toBe('stop: which drive is not known yet');
    $bare = Entries::system(['screens' => [['about' => 'start', 'title' => 'Start', 'options' => []]]]);
    $pages = new InstallerPages($bare, '', null, null);
    expect($pages->rows()[0]['pick'])->toBe('go on')
        ->and((new InstallerPages(Entries::system(), '', null, null))->step())->toBeNull();
});

it('comes after the start and before the drive is looked for', function () {
    $plan = Demo::plan('fairlead-13');
    expect($plan->step('install.pages')?->before)->toBe([PathFact::MEDIUM_STARTED])
        ->and($plan->step('target.find')?->before)->toContain(PathFact::PAGES_ANSWERED)
        ->and(Demo::plan('unknown-laptop')->step('install.pages'))->toBeNull()
        ->and(Demo::plan('unknown-laptop')->step('target.find')?->before)->not->toContain(PathFact::PAGES_ANSWERED);
});

it('reads how it is licensed from the brief too', function () {
    $rows = static fn (array $more): array => array_column(
        Demo::plan('fairlead-13', $more)->step('install.pages')->rows ?? [],
        'pick',
        'page',
    );
    expect($rows(['licence' => ['kind' => 'firmware-key', 'edition' => 'Dock']])['Product key'])
        ->toBe('it does not appear')
        ->and($rows(['licence' => ['kind' => 'retail', 'edition' => 'Dock']])['Product key'])->toBe('I have a key');
});
