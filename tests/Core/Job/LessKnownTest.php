<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Assumption;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Question;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\ChangedBrief;
use Tests\Support\Demo;
use Tests\Support\RandomBrief;

// Knowing less never opens more, and what cannot be read opens nothing (rules U2, U3).

const STANDING = ['stop' => 0, 'hold' => 1, 'go' => 2];

function plannedOrNot(array $brief): ?Plan
{
    try {
        return JobPlanner::plan(Brief::fromArray($brief), Demo::catalogue(), Policy::of());
    } catch (BriefFault|UnknownEntry) {
        return null;
    }
}

/** @return array<string, bool> ids of the stones that can be laid in their turn */
function laidOf(Plan $plan): array
{
    return array_filter(array_column(WalkThrough::of($plan), 'laid', 'id'));
}

/** @return list<string> what a path asks for or takes for granted */
function openOf(Plan $plan): array
{
    return [
        ...array_map(static fn (Question $one): string => $one->fact, [...$plan->questions, ...$plan->later]),
        ...array_map(static fn (Assumption $one): string => $one->fact, $plan->assumed),
    ];
}

/** @return list<array<string, mixed>> */
function briefsFrom(int $seed, int $many): array
{
    $named = $seed === 0 ? array_map(Demo::brief(...), Demo::ALL) : [];

    return [...$named, ...array_map(RandomBrief::brief(...), range($seed, $seed + $many - 1))];
}

it('opens nothing for knowing less, but what it asks for or says to assume', function (int $from) {
    $opened = [];
    foreach (briefsFrom($from, 25) as $brief) {
        $known = plannedOrNot($brief);
        if ($known === null) {
            continue;
        }
        [$laid, $open] = [laidOf($known), openOf($known)];
        foreach (ChangedBrief::lacking($brief) as $what => $rest) {
            $less = plannedOrNot($rest);
            if ($less === null || array_diff(openOf($less), $open) !== []) {
                continue;
            }
            $more = array_filter(
                array_keys(laidOf($less)),
                static fn (string $id): bool => ! isset($laid[$id]) && ($known->step($id)->acts ?? []) !== [],
            );
            if ($more !== [] || STANDING[$less->verdict()->value] > STANDING[$known->verdict()->value]) {
                $opened[] = "{$brief['title']} ({$brief['goal']}) without {$what}: {$known->verdict()->value} becomes "
                    ."{$less->verdict()->value} ".implode(' ', array_slice($more, 0, 3));
            }
        }
    }
    expect(implode("\n", $opened))->toBe('');
})->with(range(0, 175, 25))->group('properties');

it('claims nothing any more of a fact that was taken away', function (string $job) {
    $brief = Demo::brief($job);
    expect(plannedOrNot($brief))->not->toBeNull();
    foreach ($brief['machine']['facts'] ?? [] as $fact => $value) {
        $rest = $brief;
        unset($rest['machine']['facts'][$fact]);
        $claim = "{$fact} = ".(is_scalar($value) ? $value : '');
        $plan = plannedOrNot($rest);
        $told = json_encode([$plan?->decisions, $plan?->blockers, $plan?->steps], JSON_UNESCAPED_SLASHES);
        // The catalogue may say the same of the model.
        if ($plan !== null && $plan->fact($fact)?->optionalString('value') !== (string) $value) {
            expect((string) $told)->not->toContain($claim, "{$job} without {$fact}");
        }
    }
})->with(Demo::ALL);

/** @return list<string> stones that harm, laid though they were not while everything could be read */
function harmOpened(Plan $read, Plan $spoiled): array
{
    $quiet = [Act::CopyData, Act::HandOver, Act::CloseMachine, Act::UseLicence];
    $harms = static fn (Step $step): bool => array_filter(
        $step->acts,
        static fn (Act $act): bool => ! in_array($act, $quiet, true),
    ) !== [];
    [$before, $now] = [laidOf($read), laidOf($spoiled)];

    return array_values(array_map(
        static fn (Step $step): string => $step->id,
        array_filter($spoiled->steps, static fn (Step $step): bool => $harms($step) && isset($now[$step->id])
            && ! isset($before[$step->id]) && $read->step($step->id) !== null),
    ));
}

it('makes nothing possible that harms because a word cannot be read', function (int $from) {
    $opened = [];
    foreach (briefsFrom($from, 8) as $brief) {
        $read = plannedOrNot($brief);
        if ($read === null) {
            continue;
        }
        foreach (ChangedBrief::spoiled($brief) as $what => $changed) {
            $spoiled = plannedOrNot($changed);
            if ($spoiled === null || array_diff(openOf($spoiled), openOf($read)) !== []) {
                continue;
            }
            $harm = harmOpened($read, $spoiled);
            if ($harm !== [] || STANDING[$spoiled->verdict()->value] > STANDING[$read->verdict()->value]) {
                $opened[] = "{$brief['title']} ({$brief['goal']}) with {$what} spoiled: ".implode(' ', $harm);
            }
        }
    }
    expect(implode("\n", $opened))->toBe('');
})->with(range(0, 56, 8))->group('properties');

it('keeps its guards where a word of what is kept is spoiled', function (string $stays, string $other) {
    $machine = Demo::brief('fairlead-13')['machine'];
    $facts = [...$machine['facts'], 'target.stays' => $stays, 'target.other_system' => $other];
    $plan = Demo::plan('fairlead-13', ['machine' => [...$machine, 'facts' => $facts]]);
    expect(laidOf($plan))->not->toHaveKey('target.erase')->and($plan->verdict()->value)->toBe('stop');
})->with([
    ['2048, two thousand', 'none'], ['vinyl', 'none'], ['2048;239616', 'none'], ['', 'another'], ['-1', 'none'],
    ['unknown', 'none'], ['2048.0', 'none'], ['0x800', 'none'],
]);

it('asks of a file system that nobody knows whether it is encrypted', function (
    string $word,
    ?string $said,
    bool $asks,
) {
    $lsblk = json_decode(Demo::brief('upgrade')['machine']['lsblk'], true);
    $lsblk['blockdevices'][0]['children'][2]['fstype'] = $word;
    $facts = Demo::brief('upgrade')['machine']['facts'] + array_filter(['volume.untold_encrypted' => $said]);
    $plan = Demo::plan('upgrade', ['machine' => ['lsblk' => json_encode($lsblk), 'facts' => $facts]]);
    expect($plan->question('volume.untold_encrypted') !== null)->toBe($asks)
        ->and(isset(laidOf($plan)['install.start']))->toBe(! $asks && $said !== 'yes');
})->with([
    ['ntfs', null, false], ['NTFS', null, false], ['ext4', null, false], ['vaultfs', null, true], ['?', null, true],
    ['LVM2_member', null, true], ['vaultfs', 'no', false], ['vaultfs', 'yes', false],
]);
