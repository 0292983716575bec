<?php

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\EncryptionBranch;
use Cobblestone\Assessment\Encryption\EncryptionIntent;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Assessment\Encryption\RecoveryPrompt;
use Cobblestone\Assessment\Encryption\Trigger;
use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

it('takes every protection, binding and intent to its branch', function (Protection $protection, Binding $binding, EncryptionIntent $intent, ?bool $key, ?bool $starts, EncryptionBranch $branch) {
    expect(EncryptionBranch::of($protection, $binding, $intent, $key, $starts))->toBe($branch);
})->with(function () {
    $erased = fn (bool $keep) => new EncryptionIntent(false, [Trigger::SecureBootState], 0, $keep);
    $stays = fn (Trigger ...$triggers) => new EncryptionIntent(true, array_values($triggers), 3, true);
    [$any, $keys, $measured] = [Binding::Unknown, Binding::Keys, Binding::Measured];
    yield 'not encrypted' => [Protection::None, $any, $stays(Trigger::ChipOffOrCleared), null, null, EncryptionBranch::NotEncrypted];
    yield 'key in clear, whatever is planned' => [Protection::KeyInClear, $any, $stays(Trigger::BoardSwap), false, false, EncryptionBranch::KeyInClear];
    yield 'erased, nothing kept, no key, no start' => [Protection::Chip, $any, $erased(false), false, false, EncryptionBranch::ErasedAnyway];
    yield 'erased, kept, no key, but it starts' => [Protection::Chip, $any, $erased(true), false, true, EncryptionBranch::ErasedAnyway];
    yield 'erased, kept, no start, but a key' => [Protection::Chip, $any, $erased(true), true, false, EncryptionBranch::ErasedAnyway];
    yield 'erased, kept, no key, no start' => [Protection::Chip, $any, $erased(true), false, false, EncryptionBranch::Stop];
    yield 'a passphrase nobody knows on a drive that must be copied and does not start' => [Protection::Passphrase, $any, $erased(true), false, false, EncryptionBranch::Stop];
    yield 'passphrase, stays' => [Protection::Passphrase, $any, $stays(Trigger::FirmwareVersion), null, null, EncryptionBranch::FirmwareDoesNotMatter];
    yield 'chip by keys, firmware update' => [Protection::Chip, $keys, $stays(Trigger::FirmwareVersion), null, null, EncryptionBranch::NothingTouchesIt];
    yield 'chip by keys, boot order, loader, card' => [Protection::ChipAndPin, $keys, $stays(Trigger::BootOrder, Trigger::Loader, Trigger::Card), null, null, EncryptionBranch::NothingTouchesIt];
    yield 'chip by keys, Secure Boot' => [Protection::Chip, $keys, $stays(Trigger::SecureBootState), null, null, EncryptionBranch::SuspendAndResume];
    yield 'chip measured, firmware update' => [Protection::Chip, $measured, $stays(Trigger::FirmwareVersion), true, true, EncryptionBranch::SuspendAndResume];
    yield 'binding unknown is the wider one' => [Protection::ChipAndPin, $any, $stays(Trigger::Card), null, null, EncryptionBranch::SuspendAndResume];
    yield 'chip by keys, chip cleared' => [Protection::Chip, $keys, $stays(Trigger::ChipOffOrCleared), true, null, EncryptionBranch::SuspendAndResume];
    yield 'chip, stays, nobody has the key' => [Protection::Chip, $measured, $stays(Trigger::FirmwareVersion), false, true, EncryptionBranch::Stop];
    yield 'unknown, stays, something bites' => [Protection::Unknown, $any, $stays(Trigger::FirmwareVersion), null, null, EncryptionBranch::Ask];
    yield 'unknown, stays, nothing planned' => [Protection::Unknown, $any, $stays(), null, null, EncryptionBranch::NothingTouchesIt];
    $moves = fn (bool $keep) => new EncryptionIntent(false, [Trigger::DriveMoved], 0, $keep);
    yield 'comes out, chip' => [Protection::Chip, Binding::Keys, $moves(true), null, null, EncryptionBranch::ComesOut];
    yield 'comes out, passphrase' => [Protection::Passphrase, $any, $moves(true), true, false, EncryptionBranch::ComesOut];
    yield 'comes out, nothing kept' => [Protection::Unknown, $any, $moves(false), false, false, EncryptionBranch::ComesOut];
    yield 'comes out, not encrypted' => [Protection::None, $any, $moves(true), null, null, EncryptionBranch::NotEncrypted];
    yield 'comes out, kept, no key, no start' => [Protection::Chip, $any, $moves(true), false, false, EncryptionBranch::Stop];
    yield 'unknown, erased' => [Protection::Unknown, $any, $erased(true), null, null, EncryptionBranch::ErasedAnyway];
});

it('knows which change brings up the prompt of which binding', function () {
    $asks = fn (Binding $binding) => array_map(fn (Trigger $trigger) => $trigger->value, array_values(array_filter(Trigger::cases(), fn (Trigger $trigger) => $trigger->bites($binding))));
    expect($asks(Binding::Keys))->toBe(['secure-boot-state', 'keys', 'revocations', 'chip-off-or-cleared', 'board-swap', 'drive-moved'])
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

$firmware = fn (array $facts): Plan => Demo::plan('firmware-update', ['machine' => ['facts' => ['firmware.version' => '1.08', ...$facts]]]);

it('has the key in hand, suspends over the planned restarts and resumes as a put-back', function () use ($firmware) {
    $plan = $firmware(['drive.encryption' => 'chip', 'encryption.key' => 'yes']);
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    expect(array_search('protect.recovery-key', $ids, true))->toBeLessThan(array_search('protect.suspend', $ids, true))
        ->and(array_search('protect.suspend', $ids, true))->toBeLessThan(array_search('firmware.write-1.14', $ids, true))
        ->and($plan->step('protect.suspend')?->instructions[0])->toContain('at least 3 restarts')
        ->and($plan->step('protect.suspend')?->opens[0]->closedBy)->toBe('put-back.resume')
        ->and($plan->step('hand-over.give-back')?->gates[0]->fact)->toBe(PathFact::putBack('protection-suspended'))
        ->and($plan->verdict()->value)->toBe('go');
});

it('suspends nothing where nothing can ask', function (array $facts) use ($firmware) {
    $plan = $firmware($facts);
    expect($plan->step('protect.suspend'))->toBeNull()
        ->and($plan->initial)->toContain(PathFact::ENCRYPTION_SETTLED)
        ->and($plan->verdict()->value)->toBe('go');
})->with([[['drive.encryption' => 'none']], [['drive.encryption' => 'key-in-clear']], [['drive.encryption' => 'passphrase']], [['drive.encryption' => 'chip', 'encryption.binding' => 'keys']]]);

it('asks, and keeps the gate shut, while nobody knows how the drive is protected', function () use ($firmware) {
    $plan = $firmware([]);
    expect($plan->verdict()->value)->toBe('hold')
        ->and($plan->questions[0]->fact)->toBe('drive.encryption')
        ->and($plan->step('firmware.write-1.14')?->gates[0]->fact)->toBe(PathFact::answered('drive.encryption'));
});

it('asks for the key before it suspends, and for the binding last', function () use ($firmware) {
    expect(array_map(fn ($question) => $question->fact, $firmware(['drive.encryption' => 'chip'])->questions))->toBe(['encryption.key', 'encryption.binding']);
});

it('stops where nobody has the key', function () use ($firmware) {
    $plan = $firmware(['drive.encryption' => 'chip', 'encryption.key' => 'no']);
    expect($plan->verdict()->value)->toBe('stop')->and($plan->blockers[0]->reason)->toContain('nobody has it');
    $wipe = Demo::plan('fairlead-13', ['machine' => ['facts' => ['drive.encryption' => 'chip', 'encryption.key' => 'no', 'old_system.starts' => 'no']]]);
    expect($wipe->verdict()->value)->toBe('stop')->and($wipe->blockers[0]->reason)->toContain('it cannot be copied');
});

it('decrypts a drive that moves only where its key is missing, and by the clock of its bytes', function () {
    $swap = fn (string $key) => Demo::plan('drive-swap', ['machine' => ['readings' => [], 'facts' => ['drive.encryption' => 'chip', 'encryption.key' => $key, 'target.serial' => 'N-1', 'target.bytes' => 512110190592]]]);
    expect($swap('yes')->step('protect.decrypt'))->toBeNull()
        ->and($swap('yes')->step('install.carry-over')?->instructions[1])->toContain('It asks for its key');
    $step = $swap('no')->step('protect.decrypt');
    expect($step?->time->likely->seconds)->toBe((int) ceil(256_060_514_304 / 60_000_000))
        ->and($step?->evidence[0]->least)->toBe(100)
        ->and($step?->instructions[1])->toContain('"Protection off" comes long before')
        ->and($swap('no')->step('hardware.swap-drive')?->before)->toContain(PathFact::DECRYPTED);
});

it('says of a drive that comes out whether its key goes along, and never that it is erased', function (array $facts, string $chosen, array $asks) {
    $brief = Demo::brief('drive-swap');
    unset($brief['machine']['facts']['drive.encryption'], $brief['machine']['facts']['encryption.key']);
    $brief['machine'] = [...$brief['machine'], 'readings' => [], 'facts' => [...$brief['machine']['facts'], 'target.serial' => 'N-1', 'target.bytes' => 512110190592, ...$facts]];
    $plan = JobPlanner::plan(Brief::fromArray($brief), Demo::catalogue(), Policy::of());
    $decision = array_values(array_filter($plan->decisions, fn ($decision) => $decision->id === 'assess.encryption'))[0];
    expect($decision->chosen)->toBe($chosen);
    expect(implode(' ', $decision->reasons))->not->toContain('erased');
    expect(array_values(array_filter(array_map(fn ($question) => $question->fact, $plan->questions), fn ($fact) => $fact !== 'owner.keep')))->toBe($asks);
})->with([
    'key at hand' => [['drive.encryption' => 'chip', 'encryption.key' => 'yes'], 'nothing to decrypt: its key goes along', []],
    'passphrase known' => [['drive.encryption' => 'passphrase', 'encryption.key' => 'yes'], 'nothing to decrypt: its key goes along', []],
    'nobody has the key' => [['drive.encryption' => 'chip', 'encryption.key' => 'no'], 'decrypt before it comes out', []],
    'nobody has asked for the key' => [['drive.encryption' => 'chip-and-pin'], 'its key first', ['encryption.key']],
    'nobody knows' => [[], 'its protection first', ['drive.encryption']],
    'not encrypted' => [['drive.encryption' => 'none'], 'none', []],
    'nothing kept' => [['drive.encryption' => 'chip', 'owner.keep' => 'nothing'], 'nothing to decrypt: the drive comes out', []],
]);

it('says of every volume what would ask, and shows no advice where nothing can', function () {
    $chip = Demo::plan('firmware-update')->assessment['encryption'];
    expect($chip['triggers'])->toBe([['what' => 'the firmware is updated', 'asks' => true]])
        ->and($chip['at_the_prompt'])->toHaveCount(3)
        ->and($chip['branch'])->toBe('suspend-and-resume');
    expect(Demo::plan('upgrade')->assessment['encryption'])->toMatchArray(['protection' => 'none', 'at_the_prompt' => [], 'triggers' => [['what' => 'the loader changes', 'asks' => false]]]);
});
