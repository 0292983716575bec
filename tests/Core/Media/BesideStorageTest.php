<?php

use Cobblestone\Media\WantedStick;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Tests\Support\Demo;

/** @return array<string, Step> */
function sealedSteps(Plan $plan): array
{
    return array_column(array_map(fn (Step $step): array => [$step->id, $step], $plan->steps), 1, 0);
}

it('lays the installer beside storage on a GUID table, and names the whole stick as the trap', function () {
    $plan = Demo::plan('sealed-stick');
    $layout = $plan->layouts->all()['stick']['after'];
    [$installer, $storage] = $layout['partitions'];
    $bytes = Demo::catalogue()->image('halden-one-26-installer')->counted()->bytes;
    expect($layout['scheme'])->toBe('gpt')
        ->and($installer['file_system'])->toBe('fat32')
        ->and($installer['sectors'] * 512 % (256 * 1_048_576))->toBe(0)
        ->and($installer['sectors'] * 512)->toBeGreaterThan((int) ($bytes * 1.15))
        ->and($storage['file_system'])->toBe('exfat')
        ->and($storage['first_sector'])->toBeGreaterThanOrEqual($installer['first_sector'] + $installer['sectors'])
        ->and(WantedStick::of($plan)?->storage)->toBeTrue();
    $said = implode(' ', sealedSteps($plan)['media.write']->instructions);
    expect($said)->toContain('never the whole stick')->toContain('erases the storage beside it');
    foreach (['fairlead-13', 'unknown-laptop'] as $other) {
        expect(json_encode(Demo::plan($other)->toArray()))->not->toContain('whole stick.');
    }
});

it('starts twice from the stick before the drive alone, and locks the account at the end', function () {
    $plan = Demo::plan('sealed-stick');
    $order = array_keys(sealedSteps($plan));
    $at = fn (string $id): int => (int) array_search($id, $order, true);
    expect($at('boot.start'))->toBeLessThan($at('install.phase-0'))
        ->and($at('install.phase-0'))->toBeLessThan($at('install.start-again'))
        ->and($at('install.start-again'))->toBeLessThan($at('install.phase-1'))
        ->and($at('install.phase-1'))->toBeLessThan($at('install.stick-out'))
        ->and($at('install.stick-out'))->toBeLessThan($at('install.phase-2'))
        ->and($at('protect.account-out'))->toBeLessThan($at('target.erase'))
        ->and(json_encode(sealedSteps($plan)['first-boot.answers']->toArray()))->toContain('Account lock')
        ->and($plan->layouts->all()['target']['after']['scheme'])->toBe('gpt');
    $starts = array_values(array_filter(
        $plan->assessment->all()['rehearsal'],
        fn (array $one): bool => in_array($one['step'], ['boot.start', 'install.start-again'], true),
    ));
    expect(array_column($starts, 'outcome'))->toBe(['installer-starts', 'installer-starts']);
});

it('starts once where the system does not say otherwise', function (string $brief) {
    expect(sealedSteps(Demo::plan($brief)))->not->toHaveKey('install.start-again');
})->with(array_values(array_diff(Demo::ALL, ['sealed-stick'])));
