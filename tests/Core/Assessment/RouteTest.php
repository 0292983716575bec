<?php

use Cobblestone\Assessment\Route\RouteLadder;
use Cobblestone\Catalogue\Condition;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\FactSheet;
use Cobblestone\Machine\Source;
use Cobblestone\Runbook\Plan;
use Tests\Support\Demo;

function facts(array $facts): FactSheet
{
    $sheet = FactSheet::empty();
    foreach ($facts as $name => $value) {
        $sheet = $sheet->with(Fact::of($name, $value, Source::Person, 'test'));
    }

    return $sheet;
}

const RUNS = ['symptom.powers_up' => 'yes', 'symptom.picture' => 'yes', 'drive.grade' => 'good', 'memory.verdict' => 'trusted', 'hardware.suspect' => 'no', 'channel.other' => 'no', 'fit' => 'fits', 'present.build_reaches' => 'yes'];
const COMMERCIAL = [...RUNS, 'system.family' => 'commercial', 'recovery.environment' => 'yes', 'restore.point' => 'yes', 'network.works' => 'yes', 'image.matches' => 'yes', 'factory.image' => 'yes', 'wish.original' => 'no', 'fallback.entry' => 'no'];

it('tells holds from fails from not known yet', function (array $condition, array $known, ?bool $holds) {
    expect(Condition::fromArray(['fact' => 'x', ...$condition])->holds(facts($known)))->toBe($holds);
})->with([
    [['is' => 'yes'], ['x' => 'yes'], true],
    [['is' => 'yes'], ['x' => 'YES '], true],
    [['is' => 'yes'], ['x' => 'no'], false],
    [['is' => 'yes'], [], null],
    [['is' => 'yes'], ['x' => true], true],
    [['is' => true], ['x' => 'yes'], true],
    [['not' => 'a'], ['x' => 'b'], true],
    [['not' => 'a'], ['x' => 'a'], false],
    [['in' => ['a', 'b']], ['x' => 'b'], true],
    [['in' => ['a', 'b']], ['x' => 'c'], false],
    [['in' => ['a']], ['x' => ['c', 'a']], true],
    [['not' => 'a'], ['x' => ['c', 'a']], false],
    [['at_least' => 10], ['x' => '9'], false],
    [['at_least' => '7.10'], ['x' => '7.9'], false],
    [['at_least' => '7.9'], ['x' => '7.10'], true],
    [['at_least' => 10], ['x' => 10], true],
    [['below' => 10], ['x' => 9], true],
    [['below' => 10], ['x' => 10], false],
    [['known' => true], [], false],
    [['known' => true], ['x' => 1], true],
    [['known' => false], [], true],
    [[], ['x' => 1], true],
    [[], [], false],
]);

it('recommends the gentlest way that can work', function (array $changes, ?string $rung) {
    $advice = RouteLadder::of(Demo::catalogue()->routes())->recommend(facts([...COMMERCIAL, ...$changes]));
    expect($advice->rung?->id)->toBe($rung);
})->with([
    'dead' => [['symptom.powers_up' => 'no', 'symptom.picture' => 'no', 'hardware.suspect' => 'yes', 'symptom.starts' => 'no', 'symptom.since' => 'nothing'], 'hardware'],
    'stops in recovery' => [['symptom.starts' => 'recovery', 'symptom.since' => 'nothing'], 'startup-repair'],
    'recovery does not open' => [['symptom.starts' => 'no', 'symptom.since' => 'nothing', 'recovery.environment' => 'no', 'restore.point' => 'no'], 'file-system'],
    'boot files' => [['symptom.starts' => 'no', 'symptom.since' => 'driver', 'recovery.environment' => 'no', 'restore.point' => 'no'], 'boot-files'],
    'after a driver, safe mode' => [['symptom.starts' => 'safe-mode', 'symptom.since' => 'driver'], 'take-back'],
    'restore point' => [['symptom.starts' => 'normally', 'symptom.since' => 'nothing'], 'restore-point'],
    'system files' => [['symptom.starts' => 'normally', 'symptom.since' => 'nothing', 'restore.point' => 'no'], 'system-files'],
    'tried the gentle ones' => [['symptom.starts' => 'normally', 'symptom.since' => 'nothing', 'restore.point' => 'no', 'tried' => 'system-files'], 'repair-install-built-in'],
    'no network' => [['symptom.starts' => 'normally', 'symptom.since' => 'nothing', 'restore.point' => 'no', 'tried' => 'system-files', 'network.works' => 'no'], 'repair-install-image'],
    'bypassed machine' => [['symptom.starts' => 'normally', 'symptom.since' => 'nothing', 'restore.point' => 'no', 'tried' => 'system-files', 'network.works' => 'no', 'fit' => 'only-with-bypass'], 'reset'],
    'first day wanted' => [['symptom.starts' => 'no', 'symptom.since' => 'update', 'recovery.environment' => 'no', 'restore.point' => 'no', 'wish.original' => 'yes', 'tried' => 'boot-files'], 'factory'],
    'nothing gentler' => [['symptom.starts' => 'no', 'symptom.since' => 'update', 'recovery.environment' => 'no', 'restore.point' => 'no', 'tried' => 'boot-files'], 'clean'],
    'failing drive' => [['symptom.starts' => 'no', 'symptom.since' => 'nothing', 'drive.grade' => 'replace', 'restore.point' => 'no'], 'new-drive'],
    'bad memory' => [['symptom.starts' => 'no', 'symptom.since' => 'nothing', 'memory.verdict' => 'bad', 'hardware.suspect' => 'yes'], 'hardware'],
    'community, older entry' => [['system.family' => 'community', 'symptom.starts' => 'no', 'symptom.since' => 'update', 'fallback.entry' => 'yes', 'restore.point' => 'no'], 'older-entry'],
    'handheld, other channel' => [['system.family' => 'handheld', 'symptom.starts' => 'normally', 'channel.other' => 'yes'], 'channel'],
    'sealed' => [['system.family' => 'sealed', 'symptom.starts' => 'no', 'symptom.since' => 'update', 'restore.point' => 'no'], 'revive'],
    'sealed, revived in vain' => [['system.family' => 'sealed', 'symptom.starts' => 'no', 'symptom.since' => 'update', 'restore.point' => 'no', 'tried' => 'revive', 'factory.image' => 'no'], 'restore-sealed'],
    'a failing sealed machine without power' => [['system.family' => 'sealed', 'symptom.powers_up' => 'no', 'symptom.starts' => 'no', 'symptom.since' => 'nothing', 'drive.grade' => 'replace', 'restore.point' => 'no', 'tried' => 'hardware'], null],
]);

it('says why each gentler rung is out', function () {
    $advice = RouteLadder::of(Demo::catalogue()->routes())->recommend(facts([...COMMERCIAL, 'symptom.starts' => 'no', 'symptom.since' => 'driver', 'recovery.environment' => 'no', 'restore.point' => 'no', 'tried' => 'take-back']));
    expect($advice->rung?->id)->toBe('boot-files')
        ->and($advice->provisional)->toBeFalse()
        ->and($advice->settles)->toBeNull();
    $ladder = array_column($advice->ladder, null, 'id');
    expect($ladder['startup-repair'])->toMatchArray(['standing' => 'out', 'why' => ['Its recovery environment does not open.']])
        ->and($ladder['take-back']['why'][0])->toBe('Tried already, and it did not help.')
        ->and($ladder['channel']['why'])->toContain('This system has no channels.')
        ->and($ladder['clean'])->toMatchArray(['standing' => 'harsher', 'why' => ['A gentler way can work.'], 'keeps' => []]);
    expect(array_keys($advice->decision->refused))->toHaveCount(8)
        ->and($advice->decision->reasons[0])->toBe('It keeps files, programs and settings.')
        ->and($advice->decision->facts)->toContain('symptom.starts = no');
});

it('names the one answer that would change it most', function () {
    $known = COMMERCIAL;
    unset($known['recovery.environment'], $known['factory.image'], $known['wish.original']);
    $advice = RouteLadder::of(Demo::catalogue()->routes())->recommend(facts([...$known, 'symptom.starts' => 'recovery', 'symptom.since' => 'nothing', 'restore.point' => 'no', 'tried' => 'file-system, system-files, boot-files, reset']));
    expect($advice->rung?->id)->toBe('clean')
        ->and($advice->provisional)->toBeTrue()
        ->and($advice->settles?->fact)->toBe('recovery.environment')
        ->and($advice->decision->chosen)->toBe('Start-up repair from the recovery environment, if an answer allows it; else clean install from a stick')
        ->and($advice->settles?->options)->toBe(['yes' => 'yes', 'no' => 'no']);
});

it('never chooses a way that loses files while a gentler one is possible', function () {
    $ladder = RouteLadder::of(Demo::catalogue()->routes());
    $questions = array_values(Demo::catalogue()->all('routes'))[0]['questions'];
    mt_srand(7);
    for ($i = 0; $i < 120; $i++) {
        $known = ['system.family' => ['commercial', 'community', 'handheld', 'sealed'][mt_rand(0, 3)], 'hardware.suspect' => 'no', 'fit' => 'fits', 'present.build_reaches' => 'yes'];
        foreach ($questions as $fact => $ask) {
            if (mt_rand(0, 2) > 0) {
                $options = array_keys($ask['options']);
                $known[$fact] = (string) $options[mt_rand(0, count($options) - 1)];
            }
        }
        $advice = $ladder->recommend(facts($known));
        $again = $ladder->recommend(facts($known));
        expect($again->toArray())->toEqual($advice->toArray());
        $standing = array_column($advice->ladder, 'standing');
        $at = array_search('recommended', $standing, true);
        expect($advice->provisional)->toBe(in_array('possible', $at === false ? $standing : array_slice($standing, 0, (int) $at), true));
        if ($at !== false) {
            expect(array_slice($standing, 0, (int) $at))->not->toContain('harsher')
                ->and(array_count_values($standing)['recommended'])->toBe(1);
        }
        if ($advice->settles !== null) {
            expect(isset($known[$advice->settles->fact]))->toBeFalse();
        }
    }
});

$repair = fn (array $facts, array $more = []): Plan => Demo::plan('repair', ['machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]], ...$more]);

it('walks the recommended rung and asks at the end whether it helped', function () use ($repair) {
    $plan = $repair(['symptom.powers_up' => 'yes', 'symptom.picture' => 'yes', 'symptom.starts' => 'safe-mode', 'symptom.since' => 'driver', 'channel.other' => 'no', 'recovery.environment' => 'no']);
    expect($plan->verdict()->value)->toBe('go')
        ->and(array_column($plan->step('route.take-back-0')->gates, 'id'))->toBe(['backup'])
        ->and($plan->step('route.result')?->before)->toBe(['route.take-back-0'])
        ->and($plan->step('protect.recovery-key'))->toBeNull();
});

it('holds, on the gentlest way that is still possible, until the answer is there', function () {
    $plan = Demo::plan('repair');
    expect($plan->verdict()->value)->toBe('hold')
        ->and($plan->questions[0]->fact)->toBe('recovery.environment')
        ->and(array_column($plan->step('route.startup-repair-0')->gates, 'fact'))->toBe(['backup.settled', 'answered.recovery.environment'])
        ->and($plan->step('protect.recovery-key'))->not->toBeNull()
        ->and($plan->step('protect.shut-down'))->toBeNull();
});

it('gates a way that loses programs behind the backup, and gives the harsher kinds of job their name', function () use ($repair) {
    $all = ['symptom.powers_up' => 'yes', 'symptom.picture' => 'yes', 'symptom.starts' => 'recovery', 'symptom.since' => 'nothing', 'recovery.environment' => 'no', 'restore.point' => 'no', 'network.works' => 'no', 'image.matches' => 'no', 'factory.image' => 'no', 'wish.original' => 'no'];
    $reset = $repair([...$all, 'tried' => 'file-system, system-files, boot-files']);
    expect($reset->step('route.reset-0')?->gates[0]->fact)->toBe('backup.settled');
    $clean = $repair([...$all, 'tried' => 'file-system, system-files, boot-files, reset']);
    expect($clean->verdict()->value)->toBe('stop')->and($clean->blockers[0]->reason)->toContain('clean install from a stick');
});

it('reads drive and memory from what was tested', function () use ($repair) {
    $known = ['symptom.powers_up' => 'yes', 'symptom.picture' => 'yes', 'symptom.starts' => 'no', 'symptom.since' => 'nothing', 'recovery.environment' => 'no', 'restore.point' => 'no'];
    $brief = Demo::brief('repair');
    $failing = Demo::plan('repair', ['machine' => [...$brief['machine'], 'facts' => $known, 'readings' => [['tool' => 'smartctl', 'health' => [['serial' => 'SM3-2207-7730B9', 'model' => 'NV', 'kind' => 'nvme', 'figures' => ['media_errors' => 2]]]]]]]);
    expect($failing->assessment['route']['recommended'])->toBe('new-drive')
        ->and($failing->step('protect.back-up')?->title)->toBe('Rescue the data')
        ->and($failing->step('protect.back-up')?->instructions[0])->toContain('live system');
    $memory = $repair($known, ['memory' => ['modules' => ['M1' => 8], 'slots' => ['A', 'B'], 'tests' => [['placed' => ['M1' => 'A'], 'profile' => 'standard', 'passes' => 2, 'outcome' => 'errors']]]]);
    expect($memory->assessment['route']['recommended'])->toBe('hardware')
        ->and($memory->step('route.hardware-0')?->gates)->toBe([])
        ->and($memory->step('protect.back-up'))->toBeNull();
});

it('compares the installed build with the first that repairs itself', function (string $build, string $standing) use ($repair) {
    $plan = $repair(['symptom.powers_up' => 'yes', 'symptom.picture' => 'yes', 'symptom.starts' => 'normally', 'symptom.since' => 'nothing', 'restore.point' => 'no', 'network.works' => 'yes', 'tried' => 'system-files', 'present.build' => $build]);
    expect(array_column($plan->assessment['route']['ladder'], 'standing', 'id')['repair-install-built-in'])->toBe($standing);
})->with([['7.1', 'recommended'], ['7.10', 'recommended'], ['7.0', 'out']]);

it('claims no sign of sound hardware that nobody has looked for', function () {
    $repair = Demo::brief('repair');
    foreach (['symptom.powers_up', 'symptom.picture'] as $fact) {
        unset($repair['machine']['facts'][$fact]);
    }
    $plan = Cobblestone\Job\JobPlanner::plan(Cobblestone\Brief\Brief::fromArray($repair), Demo::catalogue(), Cobblestone\Policy\Policy::of());
    $rows = array_column($plan->assessment['route']['ladder'], 'why', 'id');
    expect($rows['hardware'])->toBe(['Nothing known so far points at the hardware.']);
});
