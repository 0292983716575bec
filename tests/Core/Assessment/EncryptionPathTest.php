<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

$firmware = fn (array $facts): Plan => Demo::plan('firmware-update', [
    'machine' => ['facts' => ['firmware.version' => '1.08', 'machine.serial' => 'FL-1', ...$facts]],
]);

it('has the key in hand, suspends over the planned restarts and resumes as a put-back', function () use ($firmware) {
    $plan = $firmware(['drive.encryption' => 'chip', 'encryption.key' => 'yes']);
    $ids = array_map(fn ($step) => $step->id, $plan->steps);
    expect(array_search('protect.recovery-key', $ids, true))->toBeLessThan(array_search('protect.suspend', $ids, true))
        ->and(array_search('protect.suspend', $ids, true))->toBeLessThan(array_search(
            'firmware.write-1.14',
            $ids,
            true,
        ))
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
})->with([
    [['drive.encryption' => 'none']],
    [['drive.encryption' => 'key-in-clear']],
    [['drive.encryption' => 'passphrase']],
    [['drive.encryption' => 'chip', 'encryption.binding' => 'keys']],
]);

it('asks, and keeps the gate shut, while nobody knows how the drive is protected', function () use ($firmware) {
    $plan = $firmware([]);
    expect($plan->verdict()->value)->toBe('hold')
        ->and($plan->questions[0]->fact)->toBe('drive.encryption')
        ->and($plan->step('firmware.write-1.14')?->gates[0]->fact)->toBe(PathFact::answered('drive.encryption'));
});

it('asks for the key before it suspends, and for the binding last', function () use ($firmware) {
    expect(array_map(fn ($question) => $question->fact, $firmware(['drive.encryption' => 'chip'])->questions))
        ->toBe(['encryption.key', 'encryption.binding']);
});

it('stops where nobody has the key', function () use ($firmware) {
    $plan = $firmware(['drive.encryption' => 'chip', 'encryption.key' => 'no']);
    expect($plan->verdict()->value)->toBe('stop')->and($plan->blockers[0]->reason)->toContain('nobody has it');
    $wipe = Demo::plan('fairlead-13', [
        'machine' => ['facts' => ['drive.encryption' => 'chip', 'encryption.key' => 'no', 'old_system.starts' => 'no']],
    ]);
    expect($wipe->verdict()->value)->toBe('stop')->and($wipe->blockers[0]->reason)->toContain('it cannot be copied');
});

it('decrypts a drive that moves only where its key is missing, and by the clock of its bytes', function () {
    $swap = fn (string $key) => Demo::plan('drive-swap', [
        'machine' => [
            'readings' => [],
            'facts' => [
                'drive.encryption' => 'chip',
                'encryption.key' => $key,
                'target.serial' => 'N-1',
                'target.bytes' => 512110190592,
            ],
        ],
    ]);
    expect($swap('yes')->step('protect.decrypt'))->toBeNull()
        ->and($swap('yes')->step('install.carry-over')?->instructions[1])->toContain('It asks for its key');
    $step = $swap('no')->step('protect.decrypt');
    expect($step?->time->likely->seconds)->toBe((int) ceil(256_060_514_304 / 60_000_000))
        ->and($step?->evidence[0]->least)->toBe(100)
        ->and($step?->instructions[1])->toContain('"Protection off" comes long before')
        ->and($swap('no')->step('hardware.swap-drive')?->before)->toContain(PathFact::DECRYPTED);
});

it('says of a drive that comes out whether its key goes along, and never that it is erased', function (
    array $facts,
    string $chosen,
    array $asks,
) {
    $brief = Demo::brief('drive-swap');
    unset($brief['machine']['facts']['drive.encryption'], $brief['machine']['facts']['encryption.key']);
    $brief['machine'] = [
        ...$brief['machine'],
        'readings' => [],
        'facts' => [...$brief['machine']['facts'], 'target.serial' => 'N-1', 'target.bytes' => 512110190592, ...$facts],
    ];
    $plan = JobPlanner::plan(Brief::fromArray($brief), Demo::catalogue(), Policy::of());
    $decision = array_values(array_filter(
        $plan->decisions,
        fn ($decision) => $decision->id === 'assess.encryption',
    ))[0];
    expect($decision->chosen)->toBe($chosen);
    expect(implode(' ', $decision->reasons))->not->toContain('erased');
    expect(array_values(array_filter(
        array_map(fn ($question) => $question->fact, $plan->questions),
        fn ($fact) => $fact !== 'owner.keep',
    )))
        ->toBe($asks);
})->with([
    'key at hand' => [
        ['drive.encryption' => 'chip', 'encryption.key' => 'yes'],
        'nothing to decrypt: its key goes along',
        [],
    ],
    'passphrase known' => [
        ['drive.encryption' => 'passphrase', 'encryption.key' => 'yes'],
        'nothing to decrypt: its key goes along',
        [],
    ],
    'nobody has the key' => [
        ['drive.encryption' => 'chip', 'encryption.key' => 'no'],
        'decrypt before it comes out',
        [],
    ],
    'nobody has asked for the key' => [['drive.encryption' => 'chip-and-pin'], 'its key first', ['encryption.key']],
    'nobody knows' => [[], 'its protection first', ['drive.encryption']],
    'not encrypted' => [['drive.encryption' => 'none'], 'none', []],
    'nothing kept' => [
        ['drive.encryption' => 'chip', 'owner.keep' => 'nothing'],
        'nothing to decrypt: the drive comes out',
        [],
    ],
]);

it('says of every volume what would ask, and shows no advice where nothing can', function () {
    $chip = Demo::plan('firmware-update')->assessment->all()['encryption'];
    expect($chip['triggers'])->toBe([['what' => 'the firmware is updated', 'asks' => true]])
        ->and($chip['at_the_prompt'])->toHaveCount(3)
        ->and($chip['branch'])->toBe('suspend-and-resume');
    expect(Demo::plan('upgrade')->assessment->all()['encryption'])->toMatchArray([
        'protection' => 'none',
        'at_the_prompt' => [],
        'triggers' => [['what' => 'the loader changes', 'asks' => false]],
    ]);
});
