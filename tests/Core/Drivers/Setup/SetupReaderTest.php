<?php

use Cobblestone\Drivers\Setup\SetupClaim;
use Cobblestone\Drivers\Setup\SetupReader;
use Tests\Support\Worked;

/** @return list<string> each claim as "identifier architecture build", with ~ for a compatible one */
function claimsOf(string $text): array
{
    return array_map(
        static fn (SetupClaim $claim): string => trim(
            ($claim->compatible ? '~' : '').$claim->identifier->text().' '.$claim->architecture.' '.$claim->fromBuild,
        ),
        SetupReader::read($text)->claims,
    );
}

it('reads what a setup-information file says of its package', function () {
    $setup = SetupReader::read(setupFile(
        [
            'Manufacturer' => ['%Quarrel% = Models, NTamd64.10.0...7100, NTarm64 ; for both'],
            'Models.NTamd64.10.0...7100' => [
                '%W2% = Install, PCI\VEN_51A2&DEV_0202&SUBSYS_00134E52, PCI\VEN_51A2&DEV_0202',
                '"a name, with a comma" = Install, pci\ven_51a2&dev_0303',
            ],
            'MODELS.ntarm64' => ['%W2%=Install,PCI\VEN_51A2&DEV_0202'],
            'Install.NT' => ['ExcludeID = PCI\VEN_51A2&DEV_0202&REV_01, *PNP0C50'],
        ],
        more: "CatalogFile=quarrel.cat\r\nCatalogFile.NTarm64 = quarrel-arm.cat\r\n",
    ));
    expect($setup->faults)->toBe([])
        ->and([$setup->class, $setup->provider, $setup->version, $setup->date])
        ->toBe(['Net', 'Quarrel', '22.9.0.1', '2026-07-03'])
        ->and($setup->catalogues)
        ->toBe(['quarrel.cat', 'quarrel-arm.cat'])
        ->and(array_map(static fn (SetupClaim $claim): array => [
            $claim->identifier->text(), $claim->description, $claim->architecture, $claim->fromBuild,
            $claim->compatible,
        ], $setup->claims))
        ->toBe([
            ['pci:51a2:0202/4e52:0013', 'Quarrel W2 wireless', 'x86-64', 7100, false],
            ['pci:51a2:0202', 'Quarrel W2 wireless', 'x86-64', 7100, true],
            ['pci:51a2:0303', 'a name, with a comma', 'x86-64', 7100, false],
            ['pci:51a2:0202', 'Quarrel W2 wireless', 'arm-64', null, false],
        ])
        ->and($setup->claims[0]->excluded)
        ->toBe(['pci:51a2:0202#01', 'acpi:pnp0c50']);
});

it('reads it in every encoding that such files come in', function (callable $written) {
    $text = setupFile(
        [
            'Manufacturer' => ['%Q%=M'],
            'M' => ['%W%=I,PCI\VEN_51A2&DEV_0202'],
            'Strings' => ['Q="Quârrel"', 'W="Häfen"'],
        ],
    );
    $setup = SetupReader::read($written($text));
    expect($setup->faults)->toBe([])->and($setup->claims[0]->description)->toBe('Häfen');
})->with([
    'UTF-8' => [static fn (string $text): string => $text],
    'UTF-8 with a mark' => [static fn (string $text): string => "\xEF\xBB\xBF".$text],
    'UTF-16, small end first' => [static fn (string $text): string => "\xFF\xFE".iconv('UTF-8', 'UTF-16LE', $text)],
    'UTF-16, big end first' => [static fn (string $text): string => "\xFE\xFF".iconv('UTF-8', 'UTF-16BE', $text)],
    'UTF-16 without a mark' => [static fn (string $text): string => iconv('UTF-8', 'UTF-16LE', $text)],
    'the other without a mark' => [static fn (string $text): string => iconv('UTF-8', 'UTF-16BE', $text)],
    'one byte a letter' => [static fn (string $text): string => iconv('UTF-8', 'CP1252', $text)],
    'half a sign at the end' => [static fn (string $text): string => "\xFF\xFE".iconv('UTF-8', 'UTF-16LE', $text).'x'],
    'old line ends' => [static fn (string $text): string => str_replace("\r\n", "\r", $text)],
]);

it('takes for each section what its name says it is for', function (string $end, string $claim) {
    expect(claimsOf(setupFile([
        'Manufacturer' => ["%Quarrel%=M,{$end}"],
        "M.{$end}" => ['%W2%=I,PCI\VEN_51A2&DEV_0202'],
    ])))->toBe([$claim]);
})->with([
    ['NTamd64', 'pci:51a2:0202 x86-64'],
    ['NTarm64', 'pci:51a2:0202 arm-64'],
    ['NTx86', 'pci:51a2:0202 x86-32'],
    ['ntAMD64.10.0', 'pci:51a2:0202 x86-64'],
    ['NTamd64.10.0...7200', 'pci:51a2:0202 x86-64 7200'],
    ['NTx86.10.0.1.2.99', 'pci:51a2:0202 x86-32 99'],
    ['NT', 'pci:51a2:0202'],
    ['NT.10.0...7200', 'pci:51a2:0202  7200'],
]);

it('takes a section without an end to its name where none is named', function () {
    expect(claimsOf(setupFile(['Manufacturer' => ['%Quarrel%=M'], 'M' => ['%W2%=I,*FNCK0704']])))
        ->toBe(['acpi:fnck0704'])
        ->and(claimsOf(setupFile(['Manufacturer' => ['Quarrel'], 'Quarrel' => ['%W2%=I,*FNCK0704']])))
        ->toBe(['acpi:fnck0704']);
});

it('joins sections of one name, lines that go on, and leaves remarks out', function () {
    expect(claimsOf(setupFile([
        'Manufacturer' => ['%Quarrel%=M'],
        'M' => ['%W2%=I, \\', '  PCI\VEN_51A2&DEV_0202, \\', '  USB\VID_5749&PID_0001 ; the pad', '; none'],
        ' m ' => ['"one; with a mark"=I,HDAUDIO\FUNC_01&VEN_46E1&DEV_0A10'],
    ])))->toBe(['pci:51a2:0202', '~usb:5749:0001', 'hdaudio:46e10a10']);
});

it('replaces a mark by its words once, so that words cannot go round in a circle', function () {
    $setup = SetupReader::read(setupFile([
        'Manufacturer' => ['%Quarrel%=M'],
        'M' => ['%A% 100%% %none%=I,%ID%'],
        'Strings' => ['Quarrel="Q"', 'A="%B%"', 'B="%A%"', 'ID="PCI\VEN_51A2&DEV_0202"', 'say ""no""=1'],
    ]));
    expect($setup->claims[0]->description)->toBe('%B% 100% %none%')
        ->and($setup->claims[0]->identifier->text())->toBe('pci:51a2:0202');
});

it('names what it cannot read with its line, and reads the rest', function (
    array $sections,
    array $faults,
    int $claims,
) {
    $setup = SetupReader::read(setupFile($sections, more: '; line 5'));
    expect($setup->faults)->toBe($faults)->and($setup->claims)->toHaveCount($claims);
})->with([
    'no makers' => [[], ['line 1: there is no section [Manufacturer], so it claims no device'], 0],
    'a section that is not there' => [
        ['Manufacturer' => ['%Quarrel%=M,NTamd64']],
        ['line 7: it names a section that is not there: "M.NTamd64"'],
        0,
    ],
    'an unknown processor' => [
        ['Manufacturer' => ['%Quarrel%=M,NTquay,NTamd64'], 'M.NTamd64' => ['%W2%=I,*FNCK0704']],
        ['line 7: no processor is known by "NTquay"'],
        1,
    ],
    'an identifier in a wrong form' => [
        ['Manufacturer' => ['%Quarrel%=M'], 'M' => ['%W2%=I,PCI\VEN_51A&DEV_02,*FNCK0704', '%W2%=I,a b']],
        ['line 9: no identifier of a device: "PCI\VEN_51A&DEV_02"', 'line 10: no identifier of a device: "a b"'],
        1,
    ],
    'a bracket that does not close' => [
        ['Manufacturer' => ['%Quarrel%=M'], 'M' => ['%W2%=I,*FNCK0704', '[Open']],
        ['line 10: the name of a section has no closing bracket'],
        1,
    ],
    'a line without end' => [
        ['Manufacturer' => ['%Quarrel%=M'], 'M' => [str_repeat('x', 5000), '%W2%=I,*FNCK0704']],
        ['line 9: it is longer than 4096 signs and is left out'],
        1,
    ],
]);

it('says of a date that it is none, and of a file that its head is missing', function () {
    expect(SetupReader::read(setupFile([], '2026-07-03'))->faults[1])
        ->toBe('line 4: the date is not month, day and year: "2026-07-03"')
        ->and(SetupReader::read(setupFile([], '02/30/2026'))->date)
        ->toBeNull()
        ->and(SetupReader::read('')->faults)
        ->toBe([
            'line 1: there is no section [Manufacturer], so it claims no device',
            'line 1: there is no section [Version]',
        ]);
});

it('ends in time and memory whatever somebody made', function (callable $made) {
    $text = $made();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $worked = Worked::calmly(function () use ($text, &$setup): void {
        $setup = SetupReader::read($text);
    });
    expect($worked)->toBeLessThan(6)
        ->and((memory_get_peak_usage() - $before) / 1e6)->toBeLessThan(200)
        ->and(count($setup->faults))->toBeLessThan(52)
        ->and(count($setup->claims))->toBeLessThanOrEqual(50_000);
})->with([
    'a hundred thousand sections' => [static fn (): string => setupFile([
        'Manufacturer' => array_map(static fn (int $i): string => "Q{$i}=M{$i}", range(1, 100_000)),
    ]).implode('', array_map(static fn (int $i): string => "[M{$i}]\nx=I,*FNCK0704\n", range(1, 100_000)))],
    'one section named over and over' => [static fn (): string => setupFile([
        'Manufacturer' => array_fill(0, 20_000, 'Q=M'),
        'M' => array_fill(0, 20_000, 'x=I,nothing at all'),
    ])],
    'faults without end' => [static fn (): string => str_repeat("[open\n", 200_000)],
    'a line that goes on without end' => [static fn (): string => "[Version]\n".str_repeat("x\\\n", 500_000)],
    'marks without end' => [static fn (): string => setupFile([
        'Manufacturer' => ['Q=M'],
        'M' => array_fill(0, 5000, str_repeat('%A%', 1000).'=I,*FNCK0704'),
        'Strings' => ['A="'.str_repeat('y', 3000).'"'],
    ])],
    'quotation marks without end' => [static fn (): string => str_repeat("[M]\n".str_repeat('"', 4000)."\n", 300)],
])->group('slow');
