<?php

use Cobblestone\Brief\BriefFault;
use Cobblestone\Job\UsedFields;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\JobKind;
use Tests\Support\Demo;

// What is taken is used, or said to be of no use: every field of the form for every kind of job (rule U1).

/** Fields of the form with something typed into them: path => value. */
const TYPED = [
    'backup.folders' => ['ferry papers'], 'backup.seen_folders' => ['ferry papers', 'old rota'],
    'backup.bytes' => 24_000_000_000, 'backup.files' => 1200, 'backup.largest_bytes' => 6_000_000_000,
    'backup.source_mb_s' => 12, 'backup.excluded' => ['caches'],
    'backup.destination' => ['name' => 'Quay drive', 'free_bytes' => 4_000_000_000, 'file_system' => 'fat32'],
    'backup.existing' => ['date' => '2026-11-01', 'proven' => true, 'samples' => 3],
    'licence.kind' => 'retail', 'depends' => ['harbour map'], 'host' => 'open-desktop', 'collect' => true,
    'extras' => [['what' => 'trimmed build', 'source' => 'a friend']],
    'first_boot.computer_name' => 'QUAY-7', 'first_boot.region' => 'Isle of Tern', 'first_boot.keyboard' => 'harbour',
    'first_boot.use' => 'shared', 'first_boot.account' => 'online-first', 'first_boot.restore' => 'restore',
    'update.reason' => 'sleep drain', 'update.to' => '9.9', 'update.gives' => 'newer processors',
    'update.processor' => 'Ostler R6', 'update.on_stick' => 'FW.BIN',
    'card.old' => 'Fennick G5', 'card.watts' => 450, 'card.supply_w' => 300, 'card.processor_w' => 95,
    'card.leads' => ['8-pin'],
    'policy.boot' => 'permanent-order', 'policy.bypass' => 'recorded', 'policy.auto_encryption' => 'off',
    'machine.facts.battery.percent' => 12, 'machine.facts.charger.watts' => 20, 'machine.facts.hub.at_hand' => 'yes',
    'machine.facts.network.driver' => 'stick', 'machine.facts.decrypt.percent' => 40,
    'machine.facts.screen.rate_hz' => 240, 'machine.facts.card.length_mm' => 400, 'machine.facts.wish.why' => 'fault',
    'machine.facts.owner.programs' => 'office', 'machine.facts.machine.managed' => 'yes',
    'machine.facts.machine.serial' => 'TL-1',
];

/** @return array<string, mixed> the brief with that said */
function withSaid(array $brief, string $path, mixed $value): array
{
    $facts = 'machine.facts.';
    if (str_starts_with($path, $facts)) {
        $brief['machine']['facts'][substr($path, strlen($facts))] = $value;

        return $brief;
    }
    [$block, $field] = [...explode('.', $path), null];
    if ($field === null) {
        return [...$brief, $block => $value];
    }
    $brief[$block] = [...$brief[$block] ?? ($block === 'update' ? ['reason' => ''] : []), $field => $value];

    return $brief;
}

/** Whether the plan is another with it, or the form says that it is of no use; null where it cannot be said at all. */
function usedOrSaid(array $brief, string $path, mixed $value): ?string
{
    try {
        $used = new UsedFields(Demo::catalogue(), Policy::of());
        $unused = $used->unused(withSaid($brief, $path, $value));
    } catch (BriefFault|Cobblestone\Catalogue\UnknownEntry|Cobblestone\Document\FieldFault) {
        return null;
    }

    return in_array($path, $unused, true) ? 'said' : 'used';
}

/** @return list<array<string, mixed>> every demo job, and some in which a rule asks for what the others know */
function contexts(): array
{
    $facts = static fn (string $of, array $facts): array => array_replace_recursive(
        Demo::brief($of),
        ['machine' => ['facts' => $facts]],
    );

    return [
        ...array_map(Demo::brief(...), [...Demo::ALL, 'locked-capstan']),
        $facts('drive-swap', ['encryption.key' => 'no']),
        $facts('fairlead-13', ['memory_bytes' => 3_000_000_000]),
        $facts('pocket-lantern', ['hub.at_hand' => 'yes']),
    ];
}

it('uses every field of the form for some kind of job', function (string $path, mixed $value) {
    $by = [];
    foreach (contexts() as $brief) {
        $by[$brief['goal']][] = usedOrSaid($brief, $path, $value);
    }
    // Every kind says one or the other, or why it cannot be; and to some kind each is of use.
    expect(array_keys($by))->toEqualCanonicalizing(array_column(JobKind::cases(), 'value'))
        ->and(array_unique(array_merge(...array_values($by))))->toContain('used');
})->with(array_map(null, array_keys(TYPED), array_values(TYPED)));

it('uses for a stick alone what a stick carries', function (string $path, mixed $value) {
    $brief = [
        ...Demo::brief('fairlead-13'), 'goal' => 'media-only', 'image' => 'tansy-desktop-7-dock',
    ];
    expect(usedOrSaid($brief, $path, $value))->toBe('used');
})->with([
    ['first_boot.computer_name', 'QUAY-7'], ['first_boot.region', 'Isle of Tern'], ['first_boot.use', 'shared'],
    ['first_boot.account', 'online-first'], ['first_boot.restore', 'restore'], ['edition', 'Ferry'],
    ['policy.auto_encryption', 'off'], ['policy.answers', 'list'],
]);

it('says of a stick alone what only a machine on the bench has use for', function (string $path, mixed $value) {
    expect(usedOrSaid(Demo::brief('stick-for-any'), $path, $value))->toBe('said');
})->with([
    ['licence.kind', 'retail'], ['depends', ['harbour map']], ['backup.folders', ['ferry papers']],
    ['machine.facts.decrypt.percent', 40], ['update.reason', 'sleep drain'],
]);

it('puts onto a stick alone the answer file, the drivers and the list of answers', function () {
    $plan = Demo::plan('fairlead-13', ['goal' => 'media-only', 'first_boot' => ['computer_name' => 'QUAY-7']]);
    $ids = array_map(fn ($step): string => $step->id, $plan->steps);
    $answers = array_values(array_filter($ids, fn (string $id): bool => str_starts_with($id, 'media.answers')))[0];
    $at = fn (string $id): int => (int) array_search($id, $ids, true);
    expect($ids)->toContain('drivers.fetch', 'hand-over.answers')
        ->and($at($answers))->toBeLessThan($at('media.verify'))
        ->and(json_encode($plan->step('hand-over.answers')?->rows))->toContain('QUAY-7')
        ->and($plan->verdict()->value)->toBe('go');
});

it('lays the stones of a driver that is put on by hand, on the same stick or on a second one', function (
    string $kind,
    string $where,
) {
    $plan = Demo::plan('unknown-laptop', [
        'machine' => ['facts' => [
            'owner.keep' => 'nothing', 'target.serial' => 'U-1', 'target.bytes' => '256060514304',
            'target.others' => 'none', 'network.driver' => 'stick',
        ]],
        'image' => [
            'name' => 'orrin.iso', 'bytes' => 3_650_722_816, 'kind' => $kind,
            'files' => ['count' => 900, 'directories' => 40, 'bytes' => 3_600_000_000, 'largest' => [
                'path' => 'live/root.img', 'bytes' => 2_000_000_000, 'parts' => null,
            ]],
        ],
    ]);
    $ids = array_map(fn ($step): string => $step->id, $plan->steps);
    $at = fn (string $id): int => (int) array_search($id, $ids, true);
    expect($plan->step('media.driver-by-hand')?->title)->toContain($where)
        ->and($at('media.driver-by-hand'))->toBeLessThan($at('target.erase'))
        ->and($at('drivers.by-hand'))->toBeLessThan($at('network.online'))
        ->and($at('media.driver-by-hand') < $at('media.verify'))->toBe($kind === 'optical');
})->with([['optical', 'onto the stick'], ['raw', 'onto a second stick']]);
