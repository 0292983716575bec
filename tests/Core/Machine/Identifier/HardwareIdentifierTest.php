<?php

use Cobblestone\Machine\Identifier\AliasForm;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Identifier\IdentifierReader;

it('reads every form in which tools write an identifier', function (string $written, array $texts) {
    $read = array_map(static fn ($identifier): string => $identifier->text(), IdentifierReader::all($written));
    expect($read)->toBe($texts);
})->with([
    ['PCI\VEN_51A2&DEV_0202&SUBSYS_00134E52&REV_01', ['pci:51a2:0202/4e52:0013#01']],
    ['PCI\VEN_51A2&DEV_0202&SUBSYS_00134E52&REV_01\3&1158&0&A0', ['pci:51a2:0202/4e52:0013#01']],
    ['PCI\VEN_51A2&DEV_0202&CC_028000', ['pci:51a2:0202@028000']],
    ['PCI\VEN_51A2&CC_0280', ['pci:51a2:*@0280']],
    ['PCI\CC_0C0330', ['pci:*:*@0c0330']],
    ['PCI\VEN_51A2', ['pci:51a2:*']],
    ['USB\VID_5749&PID_0001&REV_0110&MI_02', ['usb:5749:0001#0110+02']],
    ['USB\Class_08&SubClass_06&Prot_50', ['usb:*:*@080650']],
    ['USB\Class_0E', ['usb:*:*@0e']],
    ['HDAUDIO\FUNC_01&VEN_46E1&DEV_0A10&SUBSYS_4E520013&REV_1000', ['hdaudio:46e10a10/4e520013#1000']],
    ['HDAUDIO\FUNC_01', ['hdaudio:*@01']],
    ['ACPI\VEN_FNCK&DEV_0704', ['acpi:fnck0704']],
    ['ACPI\FNCK0704', ['acpi:fnck0704']],
    ['*PNP0C50', ['acpi:pnp0c50']],
    ['acpi:FNCK0704:PNP0C50:', ['acpi:fnck0704', 'acpi:pnp0c50']],
    ['pci:v000051A2d00000202sv00004E52sd00000013bc02sc80i00', ['pci:51a2:0202/4e52:0013@028000']],
    ['pci:v000051A2d00000202', ['pci:51a2:0202']],
    [
        'usb:v5749p0001d0110dc00dsc00dp00ic03isc01ip01in02',
        ['usb:5749:0001#0110+02@030101', 'usb:5749:0001#0110@030101'],
    ],
    ['hdaudio:v46E10A10r00100000a01', ['hdaudio:46e10a10#1000']],
    ['pci:51A2:0202', ['pci:51a2:0202']],
    ['"pci:51a2:0202"; PCI\VEN_51A2&DEV_0202|usb:5749:0001', ['pci:51a2:0202', 'usb:5749:0001']],
    ['ROOT\Quay_Thing', ['other:root\quay_thing']],
    ['other:root\quay_thing', ['other:root\quay_thing']],
    ['pci:*:*@0c03', ['pci:*:*@0c03']],
    ['hdaudio:46e1:0a10', ['hdaudio:46e10a10']],
]);

it('takes nothing for an identifier that is none', function (string $written) {
    expect(HardwareIdentifier::of($written))->toBeNull();
})->with([
    '', ' ', 'PCI', 'PCI\\', '\\VEN_51A2', 'PCI\VEN_51A&DEV_0202', 'PCI\VEN_51A2&DEV_02', 'PCI\VEN_51A2&DEV_02G2',
    'PCI\VEN_51A2&DEV_0202&SUBSYS_0013', 'PCI\DEV_0202', 'USB\ROOT_HUB30', 'USB\PID_0001', 'pci:51a2', 'pci:*:0202',
    'pci:51a2:0202#', 'usb:5749:0001+2', 'hdaudio:46e', 'acpi:FNCK07', 'HDAUDIO\FUNC_02&VEN_46E1&DEV_0A10',
    'quay', 'pci:v000051A2', 'acpi::', 'PCI\VEN_51A2&DEV_0202&REV_001', str_repeat('PCI\\VEN_51A2', 60),
]);

it('says an identifier so that it reads what it wrote', function (string $text) {
    expect(HardwareIdentifier::of($text)?->text())->toBe($text);
})->with([
    'pci:51a2:0202', 'pci:51a2:0202/4e52:0013', 'pci:51a2:0202/4e52:0013#01', 'pci:51a2:0202#01', 'pci:51a2:*',
    'pci:*:*@0c0330', 'pci:51a2:*@0280', 'usb:5749:0001#0110+02', 'usb:5749:0001+02', 'usb:*:*@08',
    'hdaudio:46e10a10', 'hdaudio:46e10a10/4e520013#1000', 'acpi:fnck0704', 'other:root\quay_thing',
]);

it('writes the kernel\'s alias whole where all is known, and leaves open what nobody read', function (
    string $text,
    string $alias,
) {
    expect(AliasForm::of(HardwareIdentifier::of($text)))->toBe($alias);
})->with([
    ['pci:51a2:0202/4e52:0013@028000', 'pci:v000051A2d00000202sv00004E52sd00000013bc02sc80i00'],
    ['pci:51a2:0202@0280', 'pci:v000051A2d00000202sv?sd?bc02sc80i?'],
    ['pci:51a2:0202', 'pci:v000051A2d00000202sv?sd?bc?sc?i?'],
    ['usb:5749:0001#0110+02@030101', 'usb:v5749p0001d0110dc?dsc?dp?ic03isc01ip01in02'],
    ['usb:5749:0001', 'usb:v5749p0001d?dc?dsc?dp?ic?isc?ip?in?'],
    ['hdaudio:46e10a10#1000', 'hdaudio:v46E10A10r00100000a01'],
    ['acpi:fnck0704', 'acpi:FNCK0704:'],
    ['other:root\quay', 'other:root\quay'],
]);

it('reads the kernel\'s alias as it wrote it', function (string $text) {
    $identifier = HardwareIdentifier::of($text);
    // The kernel says of a device of USB what its class as a whole is, too; that says nothing here.
    $alias = str_replace('dc?dsc?dp?', 'dc00dsc00dp00', AliasForm::of($identifier));
    expect(HardwareIdentifier::of($alias))->toEqual($identifier);
})->with([
    'pci:51a2:0202/4e52:0013@028000', 'usb:5749:0001#0110+02@030101', 'hdaudio:46e10a10#1000', 'acpi:fnck0704',
]);

it('may be claimed by every wider form of itself, the narrowest first', function (string $text, array $forms) {
    expect(array_keys(HardwareIdentifier::of($text)->forms()))->toBe($forms);
})->with([
    ['pci:51a2:0202/4e52:0013#01@028000', [
        'pci:51a2:0202/4e52:0013#01', 'pci:51a2:0202/4e52:0013', 'pci:51a2:0202#01', 'pci:51a2:0202@028000',
        'pci:51a2:0202@0280', 'pci:51a2:0202', 'pci:51a2:*@028000', 'pci:51a2:*@0280', 'pci:51a2:*', 'pci:*:*@028000',
        'pci:*:*@0280',
    ]],
    ['pci:51a2:0202', ['pci:51a2:0202', 'pci:51a2:*']],
    ['usb:5749:0001#0110+02@030101', [
        'usb:5749:0001#0110+02', 'usb:5749:0001+02', 'usb:5749:*@030101', 'usb:5749:*@0301', 'usb:5749:*@03',
        'usb:5749:*', 'usb:*:*@030101', 'usb:*:*@0301', 'usb:*:*@03',
    ]],
    ['hdaudio:46e10a10#1000', ['hdaudio:46e10a10#1000', 'hdaudio:46e10a10', 'hdaudio:46e1']],
    ['acpi:fnck0704', ['acpi:fnck0704']],
    ['other:root\quay', ['other:root\quay']],
]);

it('is the narrower the more it says', function () {
    $narrower = array_map(static fn (string $text): int => HardwareIdentifier::of($text)->specificity(), [
        'pci:51a2:0202/4e52:0013#01', 'pci:51a2:0202/4e52:0013', 'pci:51a2:0202#01', 'pci:51a2:0202@028000',
        'pci:51a2:0202@0280', 'pci:51a2:0202', 'pci:51a2:*@028000', 'pci:51a2:*@0280', 'pci:51a2:*',
        'pci:*:*@028000', 'pci:*:*@0280',
    ]);
    $sorted = $narrower;
    rsort($sorted);
    expect($narrower)->toBe($sorted)->and(array_unique($narrower))->toHaveCount(count($narrower));
    $of = static fn (string $text): int => HardwareIdentifier::of($text)->specificity();
    expect($of('usb:5749:0001#0110+02'))->toBeGreaterThan($of('usb:5749:0001+02'))
        ->and($of('usb:5749:0001+02'))->toBeGreaterThan($of('usb:5749:0001#0110'))
        ->and($of('pci:51a2:0202/4e52:0013#01'))->toBe(50)
        ->and(HardwareIdentifier::of('pci:51a2:0202/4e52:0013#01@028000')->short())->toBe('pci:51a2:0202')
        ->and(HardwareIdentifier::of('usb:5749:0001#0110+02')->short())->toBe('usb:5749:0001+02')
        ->and(HardwareIdentifier::of('pci:*:*@0280')->short())->toBe('pci:*:*@0280');
});
