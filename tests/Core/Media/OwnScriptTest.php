<?php

use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Media\Build\AnswerText;
use Cobblestone\Media\Build\Script\StickScript;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Storage\Scheme;
use Tests\Support\Demo;
use Tests\Support\StickPlans;

/** @return array<string, array{string, HostProfile, StickPlan}> scripts that call another computer's own commands */
function ownGoldens(): array
{
    $sticks = goldenSticks();
    $hosts = Demo::catalogue()->hosts();
    $like = static fn (string $id, array $with): HostProfile => HostProfile::fromArray(array_replace_recursive(
        $hosts[$id]->toArray(),
        $with,
    ));
    $bare = HostProfile::fromArray([
        ...array_diff_key($hosts['tansy-desktop-7']->toArray(), ['from_build' => 0, 'to_build' => 0, 'lacks' => 0]),
        'commands' => array_diff_key(
            $hosts['tansy-desktop-7']->toArray()['commands'],
            ['clear' => 0, 'in_use' => 0, 'flush' => 0, 'build' => 0],
        ),
    ]);
    $answers = StickPlans::plan(
        drivers: ['net/w2 a.inf' => 10],
        answers: new AnswerText('tansy/first-start.xml', "one\n$(two) 'three'\nwithout an end"),
    );
    $whole = StickPlans::plan(
        ['EFI/BOOT/BOOTX64.EFI' => 3152, "it's a [name] $(x).txt" => 12, 'payload/system.img' => 5_206_302_720],
        parts: ['payload/system.img' => 'payload/system.p%d'],
        bytes: 16_008_609_792,
        scheme: Scheme::Mbr,
    );
    $from = HostProfile::fromArray(array_diff_key($hosts['tansy-desktop-7']->toArray(), ['to_build' => 0]));
    $to = HostProfile::fromArray(array_diff_key($hosts['tansy-desktop-7']->toArray(), ['from_build' => 0]));

    return array_column([
        ['own-copied-gpt', $hosts['tansy-desktop-7'], $sticks['copied-gpt']],
        ['own-copied-answers-drivers', $hosts['tansy-desktop-7'], $answers],
        ['own-copied-mbr-parts', $from, $whole],
        ['own-copied-bare', $bare, $sticks['copied-4096']],
        ['own-raw', $hosts['halden-one-28'], $sticks['raw']],
        ['own-raw-xz', $to, $sticks['raw-xz']],
        ['own-raw-gzip', $like('halden-one-28', ['from_build' => 4, 'to_build' => 9]), $sticks['raw-gzip']],
    ], null, 0);
}

it('writes the same script for another computer as before', function (
    string $name,
    HostProfile $host,
    StickPlan $plan,
) {
    $file = Demo::root()."/tests/fixtures/sticks/{$name}.sh";
    if (getenv('UPDATE_GOLDEN') === '1') {
        file_put_contents($file, StickScript::of($plan, $host));
    }
    expect(StickScript::of($plan, $host))->toBe(file_get_contents($file));
})->with(fn (): array => ownGoldens());
