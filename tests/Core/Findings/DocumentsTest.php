<?php

use Cobblestone\Assessment\Backup\BackupFound;
use Cobblestone\Assessment\Dependence;
use Cobblestone\Assessment\Encryption\EncryptionFound;
use Cobblestone\Assessment\FitFound;
use Cobblestone\Assessment\Health\DriveHealth;
use Cobblestone\Assessment\KnownFound;
use Cobblestone\Assessment\Memory\MemoryFound;
use Cobblestone\Assessment\Requirement;
use Cobblestone\Assessment\Route\GentlerFound;
use Cobblestone\Assessment\Route\RouteFound;
use Cobblestone\Assessment\Route\WeighedRung;
use Cobblestone\Assessment\SupportEnd;
use Cobblestone\Boot\KindFound;
use Cobblestone\Boot\Model\PassedEntry;
use Cobblestone\Boot\Model\Stone;
use Cobblestone\Boot\OtherEnd;
use Cobblestone\Boot\StartFound;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Drivers\PegFound;
use Cobblestone\Drivers\RefusedFound;
use Cobblestone\Findings\AnswersFound;
use Cobblestone\Findings\SocketStage;
use Cobblestone\Findings\SocketUse;
use Cobblestone\Findings\StickFound;
use Cobblestone\Findings\TargetFound;
use Cobblestone\Machine\Contradiction;
use Cobblestone\Machine\Fact;

/** Every type of document that a plan keeps, with the fullest there can be of it. */
dataset('what a plan keeps', function (): array {
    $fact = [
        'name' => 'cores', 'value' => 4, 'certainty' => 'known', 'source' => 'reading', 'origin' => 'lshw',
        'at' => '10:30',
    ];
    $rung = ['id' => 'mend', 'title' => 'Mend it', 'standing' => 'possible', 'why' => ['Not known.'],
        'keeps' => ['files'], 'minutes' => 12.5];
    $question = ['fact' => 'disk', 'text' => 'Is it sound?', 'options' => ['yes' => 'yes'], 'decides' => 'the way',
        'rule' => 'A3', 'weight' => 95, 'holds' => true, 'shuts' => ['erase'], 'until' => ['write-system']];
    $need = ['id' => 'cores', 'title' => 'Cores', 'needs' => '4', 'has' => '2 (lshw)', 'verdict' => 'short',
        'note' => '2 short', 'bypassable' => true];
    $stone = ['name' => 'loader', 'holds' => false, 'words' => 'It is refused.', 'cause' => 'revoked'];
    $passed = ['title' => 'stick', 'outcome' => 'refused-by-secure-boot', 'words' => 'Refused.', 'cause' => 'revoked'];
    $end = ['fact' => 'firmware.secure_boot', 'value' => 'off', 'outcome' => 'installer-starts'];
    $refused = ['package' => 'Old pack', 'why' => 'architecture', 'words' => 'It is for another processor.'];
    $use = ['port' => 'USB-C, left', 'what' => 'stick'];
    $part = ['name' => 'system', 'role' => 'system', 'first_sector' => 2048, 'sectors' => 10, 'bytes' => 5120,
        'file_system' => 'btrfs', 'stays' => true, 'encrypted' => true, 'number' => 1, 'type' => 'basic-data',
        'type_code' => '0x07', 'active' => true];
    $layout = ['scheme' => 'mbr', 'sector_bytes' => 512, 'partitions' => [$part], 'label' => 'PORT',
        'device_bytes' => 51_200, 'device_sectors' => 100, 'out_of_reach_bytes' => 1, 'disk_guid' => 'A-1',
        'need_bytes' => 2, 'capacity_bytes' => 3, 'written_bytes' => 4];

    return [
        'a fact' => [Fact::read(...), $fact],
        'a contradiction' => [Contradiction::read(...), [
            'fact' => 'cores', 'kept' => $fact, 'set_aside' => [...$fact, 'value' => 8], 'settled_by' => 'rule',
        ]],
        'a drive\'s health' => [DriveHealth::read(...), ['serial' => 'S1', 'model' => 'Saltmarsh', 'grade' => 'watch',
            'facts' => ['Worn.'], 'readings' => 2, 'at' => '2026-11-20']],
        'encryption' => [EncryptionFound::read(...), ['protection' => 'chip', 'title' => 'held by the chip',
            'binding' => 'x', 'bound_to' => 'keys', 'branch' => 'stop',
            'triggers' => [['what' => 'new firmware', 'asks' => true]], 'at_the_prompt' => ['Do not guess.']],
            ['title', 'binding']],
        'memory' => [MemoryFound::read(...), ['fact' => 'bad', 'sentence' => 'M1.', 'settled' => true,
            'trusted' => false, 'confidence' => 0.9, 'suspects' => [['title' => 'M1', 'share' => 0.9]],
            'next' => ['placed' => ['M1' => 'A'], 'passes' => 2, 'minutes' => 6.5, 'sentence' => 'Next.']]],
        'a backup' => [BackupFound::read(...), ['keep' => 'some', 'bytes' => 5, 'need_bytes' => 6,
            'minutes' => ['low' => 1.0, 'likely' => 2.0, 'high' => 3.0, 'basis' => 'computed'],
            'destination' => 'Bollard', 'folders' => ['papers'], 'not_covered' => ['games']]],
        'a need' => [Requirement::read(...), $need],
        'a fit' => [FitFound::read(...), ['fit' => 'cannot', 'title' => 'cannot', 'rows' => [$need]]],
        'a rung' => [WeighedRung::read(...), $rung],
        'a route' => [RouteFound::read(...), ['recommended' => 'mend', 'title' => 'Mend it', 'provisional' => true,
            'ladder' => [$rung], 'settles' => $question], ['settles.options', 'settles.holds']],
        'gentler ways' => [GentlerFound::read(...), ['why' => 'fault', 'ladder' => [$rung]]],
        'an end of support' => [SupportEnd::read(...), ['name' => 'Tansy', 'ends' => '2027-01-01', 'days' => 30,
            'sentence' => 'Soon.']],
        'a dependence' => [Dependence::read(...), ['what' => 'ledger', 'standing' => 'does not work', 'why' => 'x']],
        'a known trouble' => [KnownFound::read(...), ['function' => 'sleep', 'sentence' => 'x', 'as_of' => '2026-11']],
        'a peg' => [PegFound::read(...), ['name' => 'radio', 'id' => '1:2', 'family' => 'wireless',
            'hangs' => 'carried', 'package' => 'Pack', 'package_id' => 'pack', 'setup_file' => 'a.inf',
            'step' => 'drivers.pack', 'identifier' => '1:2', 'refused' => [$refused]]],
        'a refused package' => [RefusedFound::read(...), $refused],
        'answers' => [AnswersFound::read(...), ['system' => 'tansy-7', 'path' => 'a.txt', 'format' => 'lines',
            'values' => ['zone' => 'UTC', 'parts' => ['a', 'b']]]],
        'a stage' => [SocketStage::read(...), ['stage' => 'Back up', 'uses' => [$use], 'charges' => false,
            'note' => 'a hub']],
        'a socket' => [SocketUse::read(...), $use],
        'a kind of machine' => [KindFound::read(...), ['kind' => 'uefi', 'title' => 'UEFI', 'starts' => true,
            'words' => 'starts', 'because' => 'x']],
        'a stone' => [Stone::read(...), $stone],
        'an entry passed' => [PassedEntry::read(...), $passed],
        'another end' => [OtherEnd::read(...), $end],
        'a power-on' => [StartFound::read(...), [
            'step' => 'boot.start', 'title' => 'Start', 'number' => 1, 'wants' => 'installer', 'by' => 'menu',
            'outcome' => 'refused-by-secure-boot', 'device' => 'stick', 'stones' => [$stone], 'ground' => 'standard',
            'times' => 3, 'rests_on' => ['firmware.secure_boot'], 'passed' => [$passed], 'succeeds' => false,
            'blocks' => true, 'sentence' => 'Refused.', 'cause' => 'x', 'seen' => 'y', 'fix' => 'z', 'who' => 'owner',
            'possible' => ['refused-by-secure-boot', 'installer-starts'], 'settled_by' => 'firmware.secure_boot',
            'otherwise' => [$end], 'as' => ['firmware' => 'uefi', 'trusts' => ['platform']],
        ]],
        'the drive' => [TargetFound::read(...), ['bytes' => 51_200, 'sector_bytes' => 512, 'assumed' => true,
            'proven' => true, 'read' => true, 'sector_assumed' => true, 'model' => 'Saltmarsh', 'now' => [$part],
            'after' => $layout]],
        'the stick' => [StickFound::read(...), ['name' => 'Harbour 16', 'bytes' => 5, 'contents' => 'blank',
            'after' => $layout]],
    ];
});

/** @return list<string> dotted paths of everything in a document, blocks and their fields */
function fieldsOf(array $document, string $at = ''): array
{
    $paths = [];
    foreach ($document as $name => $value) {
        $paths[] = $at.$name;
        $paths = [...$paths, ...is_array($value) ? fieldsOf($value, "{$at}{$name}.") : []];
    }

    return $paths;
}

it('reads what it writes, whole', function (Closure $read, array $document, array $made = []) {
    $written = json_decode((string) json_encode($read(Fields::of($document))->toArray()), true);
    expect(fieldsOf($written))->toEqualCanonicalizing(fieldsOf($document));
    foreach ($made as $path) {
        data_forget($written, $path);
        data_forget($document, $path);
    }
    expect($written)->toEqual($document);
})->with('what a plan keeps');

it('takes no field for another kind, and names it', function (Closure $read, array $document, array $made = []) {
    foreach ($document as $name => $value) {
        if (in_array($name, $made, true) || ($name === 'fact' && is_array($document['kept'] ?? null))) {
            continue;
        }
        $spoiled = is_array($value) ? 'no block' : ['no' => 'text'];
        $spoiled = $name === 'value' ? 7.5e300 : $spoiled;
        if ($name === 'value' && array_key_exists('certainty', $document)) {
            continue;
        }
        expect(fn () => $read(Fields::of([...$document, $name => $spoiled], 'at')))
            ->toThrow(FieldFault::class, "at.{$name}");
    }
})->with('what a plan keeps');
