<?php

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\EncryptionBranch;
use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Assessment\Encryption\RecoveryPrompt;
use Cobblestone\Assessment\Encryption\Trigger;

it('takes every protection, binding and intent to its branch', function (
    Protection $protection,
    Binding $binding,
    EncryptionIntent $intent,
    ?bool $key,
    ?bool $starts,
    EncryptionBranch $branch,
) {
    expect(EncryptionBranch::of($protection, $binding, $intent, $key, $starts))->toBe($branch);
})->with(function () {
    $erased = fn (bool $keep) => new EncryptionIntent(false, [Trigger::SecureBootState], 0, $keep);
    $stays = fn (Trigger ...$triggers) => new EncryptionIntent(true, array_values($triggers), 3, true);
    [$any, $keys, $measured] = [Binding::Unknown, Binding::Keys, Binding::Measured];
    yield 'not encrypted' => [
        Protection::None,
        $any,
        $stays(Trigger::ChipOffOrCleared),
        null,
        null,
        EncryptionBranch::NotEncrypted,
    ];
    yield 'key in clear, whatever is planned' => [
        Protection::KeyInClear,
        $any,
        $stays(Trigger::BoardSwap),
        false,
        false,
        EncryptionBranch::KeyInClear,
    ];
    yield 'erased, nothing kept, no key, no start' => [
        Protection::Chip,
        $any,
        $erased(false),
        false,
        false,
        EncryptionBranch::ErasedAnyway,
    ];
    yield 'erased, kept, no key, but it starts' => [
        Protection::Chip,
        $any,
        $erased(true),
        false,
        true,
        EncryptionBranch::ErasedAnyway,
    ];
    yield 'erased, kept, no start, but a key' => [
        Protection::Chip,
        $any,
        $erased(true),
        true,
        false,
        EncryptionBranch::ErasedAnyway,
    ];
    yield 'erased, kept, no key, no start' => [
        Protection::Chip,
        $any,
        $erased(true),
        false,
        false,
        EncryptionBranch::Stop,
    ];
    yield 'a passphrase nobody knows on a drive that must be copied and does not start' => [
        Protection::Passphrase,
        $any,
        $erased(true),
        false,
        false,
        EncryptionBranch::Stop,
    ];
    yield 'passphrase, stays' => [
        Protection::Passphrase,
        $any,
        $stays(Trigger::FirmwareVersion),
        null,
        null,
        EncryptionBranch::FirmwareDoesNotMatter,
    ];
    yield 'chip by keys, firmware update' => [
        Protection::Chip,
        $keys,
        $stays(Trigger::FirmwareVersion),
        null,
        null,
        EncryptionBranch::NothingTouchesIt,
    ];
    yield 'chip by keys, boot order, loader, card' => [
        Protection::ChipAndPin,
        $keys,
        $stays(Trigger::BootOrder, Trigger::Loader, Trigger::Card),
        null,
        null,
        EncryptionBranch::NothingTouchesIt,
    ];
    yield 'chip by keys, Secure Boot' => [
        Protection::Chip,
        $keys,
        $stays(Trigger::SecureBootState),
        null,
        null,
        EncryptionBranch::SuspendAndResume,
    ];
    yield 'chip measured, firmware update' => [
        Protection::Chip,
        $measured,
        $stays(Trigger::FirmwareVersion),
        true,
        true,
        EncryptionBranch::SuspendAndResume,
    ];
    yield 'binding unknown is the wider one' => [
        Protection::ChipAndPin,
        $any,
        $stays(Trigger::Card),
        null,
        null,
        EncryptionBranch::SuspendAndResume,
    ];
    yield 'chip by keys, chip cleared' => [
        Protection::Chip,
        $keys,
        $stays(Trigger::ChipOffOrCleared),
        true,
        null,
        EncryptionBranch::SuspendAndResume,
    ];
    yield 'chip, stays, nobody has the key' => [
        Protection::Chip,
        $measured,
        $stays(Trigger::FirmwareVersion),
        false,
        true,
        EncryptionBranch::Stop,
    ];
    yield 'unknown, stays, something bites' => [
        Protection::Unknown,
        $any,
        $stays(Trigger::FirmwareVersion),
        null,
        null,
        EncryptionBranch::Ask,
    ];
    yield 'unknown, stays, nothing planned' => [
        Protection::Unknown,
        $any,
        $stays(),
        null,
        null,
        EncryptionBranch::NothingTouchesIt,
    ];
    $moves = fn (bool $keep) => new EncryptionIntent(false, [Trigger::DriveMoved], 0, $keep);
    yield 'comes out, chip' => [Protection::Chip, Binding::Keys, $moves(true), null, null, EncryptionBranch::ComesOut];
    yield 'comes out, passphrase' => [
        Protection::Passphrase,
        $any,
        $moves(true),
        true,
        false,
        EncryptionBranch::ComesOut,
    ];
    yield 'comes out, nothing kept' => [
        Protection::Unknown,
        $any,
        $moves(false),
        false,
        false,
        EncryptionBranch::ComesOut,
    ];
    yield 'comes out, not encrypted' => [
        Protection::None,
        $any,
        $moves(true),
        null,
        null,
        EncryptionBranch::NotEncrypted,
    ];
    yield 'comes out, kept, no key, no start' => [
        Protection::Chip,
        $any,
        $moves(true),
        false,
        false,
        EncryptionBranch::Stop,
    ];
    yield 'unknown, erased' => [Protection::Unknown, $any, $erased(true), null, null, EncryptionBranch::ErasedAnyway];
});

it('knows which change brings up the prompt of which binding', function () {
    $asks = fn (Binding $binding) => array_map(
        fn (Trigger $trigger) => $trigger->value,
        array_values(array_filter(Trigger::cases(), fn (Trigger $trigger) => $trigger->bites($binding))),
    );
    expect($asks(Binding::Keys))->toBe([
        'secure-boot-state', 'keys', 'revocations', 'chip-off-or-cleared', 'board-swap', 'drive-moved',
    ])
        ->and($asks(Binding::Measured))->toHaveCount(10)
        ->and($asks(Binding::Unknown))->toHaveCount(10);
    expect(Trigger::ofSetting('secure_boot'))->toBe(Trigger::SecureBootState)
        ->and(Trigger::ofSetting('third_party_signer'))->toBe(Trigger::Keys)
        ->and(Trigger::ofSetting('boot_order'))->toBe(Trigger::BootOrder)
        ->and(Trigger::ofSetting('security_chip'))->toBe(Trigger::ChipOffOrCleared)
        ->and(Trigger::ofSetting('memory_profile'))->toBeNull();
});

it('advises at the prompt: put back first, then the key, then the stick, and never clear the chip', function () {
    $lines = RecoveryPrompt::advice([Trigger::SecureBootState], true);
    expect($lines)->toHaveCount(4)
        ->and($lines[0])->toContain('Put back first what was changed (Secure Boot is switched)')
        ->and($lines[1])->toContain('the owner types the recovery key')
        ->and($lines[2])->toContain('power off and choose the stick')
        ->and($lines[3])->toContain('Never accept an offer to clear');
    $updated = RecoveryPrompt::advice([Trigger::FirmwareVersion], false);
    expect($updated)->toHaveCount(3)
        ->and($updated[0])->toBe('An updated firmware cannot be put back for this.')
        ->and(implode(' ', $updated))->not->toContain('Put back first')->not->toContain('Wiping is agreed');
});
