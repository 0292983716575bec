<?php

use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Fact as MachineFact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;
use Cobblestone\Machine\Source;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\Expected;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Step;
use Cobblestone\Tuning\Acceptance;
use Cobblestone\Tuning\ProofScope;
use Cobblestone\Tuning\ProofSubject;
use Tests\Support\Demo;

/** @param  list<Port>  $ports */
function finishedMachine(
    Kind $kind = Kind::Laptop,
    ?int $cores = 4,
    ?int $memory = 8 * 1024 ** 3,
    array $ports = [],
    Source $source = Source::Reading,
): Machine {
    $sheet = FactSheet::empty();
    foreach (
        array_filter(['cores' => $cores, 'memory_bytes' => $memory], fn ($value) => $value !== null) as $name => $value
    ) {
        $sheet = $sheet->with(MachineFact::of($name, $value, $source, 'live system'));
    }

    return new Machine('Cobalt Mole', $kind, $sheet, ports: $ports);
}

/** @return array<string, Evidence> */
function readingRows(Step $step): array
{
    return array_column(array_map(fn (Evidence $one) => [$one->id, $one], $step->evidence), 1, 0);
}

it('reads what the job has changed, row by row', function (
    ProofScope $scope,
    Kind $kind,
    ?Drive $drive,
    bool $system,
    array $ids,
) {
    $profile = $system ? Demo::catalogue()->system('tansy-desktop-7') : null;
    $step = Acceptance::step(new ProofSubject(finishedMachine($kind), $profile, 'Dock', $drive), scope: $scope);
    expect(array_keys(readingRows($step)))
        ->toBe($ids)
        ->and($step->done->proof ?? [])
        ->toBe($ids)
        ->and($step->after)
        ->toBe([PathFact::PROVEN]);
    foreach ($step->evidence as $one) {
        expect($one->mayBeOpen)
            ->toBeTrue($one->id)
            ->and($one->overruledBy)
            ->toBe(['lead'])
            ->and($one->expected)
            ->not->toBeNull();
    }
})->with([
    [
        ProofScope::Whole,
        Kind::Laptop,
        new Drive('/dev/x', Bytes::of(256)),
        true,
        [
            'cores',
            'memory_usable',
            'drive_size',
            'system',
            'without_driver',
            'sound',
            'camera',
            'wireless',
            'updates_found',
        ],
    ],
    [
        ProofScope::Whole,
        Kind::Desktop,
        null,
        true,
        ['cores', 'memory_usable', 'system', 'without_driver', 'sound', 'wireless', 'updates_found'],
    ],
    [
        ProofScope::System,
        Kind::Desktop,
        null,
        false,
        ['cores', 'memory_usable', 'without_driver', 'sound', 'wireless'],
    ],
    [ProofScope::Firmware, Kind::Laptop, null, true, ['cores', 'memory_usable', 'starts']],
]);

it('expects what is known and asks for nothing else', function (array $known, array $ids) {
    $step = Acceptance::step(new ProofSubject(finishedMachine(...$known), null), scope: ProofScope::Firmware);
    expect(array_keys(readingRows($step)))->toBe($ids);
})->with([
    [['cores' => null], ['memory_usable', 'starts']],
    [['memory' => null], ['cores', 'starts']],
    [['cores' => null, 'memory' => null], ['starts']],
]);

it('takes the share of the graphics and three in a hundred off the memory', function (
    ?int $graphics,
    int $seen,
    string $verdict,
) {
    $row = readingRows(
        Acceptance::step(new ProofSubject(
            finishedMachine(memory: 8 * 1024 ** 3),
            null,
            graphics: $graphics === null ? null : Bytes::of($graphics),
        )),
    )['memory_usable'];
    expect(EvidenceJudge::judge($row, (string) $seen, [])->verdict->value)
        ->toBeIn($verdict === 'holds' ? ['equal', 'within'] : [$verdict])
        ->and($row->expected->atLeast)
        ->toBeTrue()
        ->and($row->hint)
        ->toContain('of 8.0 GiB')
        ->toContain('at least ')
        ->and(str_contains((string) $row->hint, 'for the graphics'))
        ->toBe($graphics !== null);
})->with([
    [null, (int) floor(8 * 1024 ** 3 * 0.97), 'holds'],
    [null, 8 * 1024 ** 3, 'holds'],
    [null, 7 * 1024 ** 3, 'differs'],
    [1024 ** 3, (int) floor(7 * 1024 ** 3 * 0.97), 'holds'],
    [1024 ** 3, 6 * 1024 ** 3, 'differs'],
    [9 * 1024 ** 3, 1024, 'holds'],
]);

it('says where an expectation comes from', function (Source $source, string $from) {
    $rows = readingRows(
        Acceptance::step(
            new ProofSubject(finishedMachine(source: $source), null, target: new Drive('/dev/x', Bytes::of(256))),
        ),
    );
    expect($rows['cores']->expected->source)
        ->toBe($from)
        ->and($rows['memory_usable']->expected->source)
        ->toBe($from)
        ->and($rows['drive_size']->expected->source)
        ->toBe(Expected::READING);
})->with([[Source::Reading, Expected::READING], [Source::Catalogue, Expected::CATALOGUE]]);

it('offers the editions of the system and takes the one that was ordered', function (
    ?string $edition,
    string $seen,
    string $verdict,
) {
    $system = Demo::catalogue()->system('tansy-desktop-7');
    $row = readingRows(Acceptance::step(new ProofSubject(finishedMachine(), $system, $edition)))['system'];
    expect(EvidenceJudge::judge($row, $seen, [])->verdict->value)
        ->toBe($verdict)
        ->and(array_keys($row->options))
        ->toContain('other', 'not read', $edition ?? 'this');
})->with([
    ['Dock', 'Dock', 'equal'],
    ['Dock', 'other', 'differs'],
    ['Dock', 'not read', 'not-read'],
    ['Special', 'Special', 'equal'],
    [null, 'this', 'equal'],
    [null, 'other', 'differs'],
]);

it('counts sockets and devices without a driver', function (int $unresolved, string $seen, string $verdict) {
    $ports = [new Port('a', 'usb-a', 'left', 5000), new Port('b', 'usb-c', 'left', 10000)];
    $subject = new ProofSubject(finishedMachine(ports: $ports), null, unresolved: $unresolved);
    $rows = readingRows(Acceptance::step($subject));
    expect(EvidenceJudge::judge($rows['without_driver'], $seen, [])->verdict->value)
        ->toBe($verdict)
        ->and($rows['sockets']->expected->value)
        ->toBe('USB-A left, USB-C left')
        ->and(EvidenceJudge::judge($rows['sockets'], 'USB-C left', [])->words)
        ->toBe('missing: USB-A left')
        ->and($rows['sockets']->expected->source)
        ->toBe(Expected::CATALOGUE);
})->with([[0, '0', 'equal'], [0, '1', 'differs'], [2, '2', 'equal'], [2, '0', 'differs']]);

it('waits for the install, or for what the path names', function () {
    $system = Demo::catalogue()->system('tansy-desktop-7');
    $activated = $system->activation ? [PathFact::ACTIVATED] : [];
    expect(Acceptance::step(new ProofSubject(finishedMachine(), $system))->before)
        ->toBe([PathFact::DRIVERS_COMPLETE, PathFact::UPDATED, ...$activated])
        ->and(Acceptance::step(new ProofSubject(finishedMachine(), null))->before)
        ->toBe([PathFact::DRIVERS_COMPLETE, PathFact::UPDATED])
        ->and(Acceptance::step(new ProofSubject(finishedMachine(), $system), ['x'])->before)
        ->toBe(['x']);
});
