<?php

use Cobblestone\Handover\HandoverSheet;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\LogEntry;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Progress;
use Cobblestone\Runbook\WalkThrough;
use Tests\Support\Demo;

/** Facts that let the demo jobs be walked to their ends. */
const ANSWERED = [
    'repair' => [
        'machine' => [
            'facts' => [
                'symptom.powers_up' => 'yes',
                'symptom.picture' => 'yes',
                'symptom.starts' => 'recovery',
                'symptom.since' => 'update',
                'recovery.environment' => 'yes',
                'drive.encryption' => 'none',
            ],
        ],
    ],
    'unknown-laptop' => [
        'machine' => [
            'facts' => [
                'owner.keep' => 'nothing',
                'target.serial' => 'UNK-4471',
                'target.bytes' => '256060514304',
                'target.others' => 'none',
                'drive.encryption' => 'none',
                'network.driver' => 'brings',
            ],
        ],
    ],
];

/**
 * @param  list<string>  $except
 * @param  list<LogEntry>  $before
 * @return array<string, mixed>
 */
function sheetOf(Plan $plan, array $except = [], array $before = []): array
{
    $entries = WalkThrough::entries($plan, $except, $before);

    return HandoverSheet::of(Progress::of($plan, $entries), $entries, 'UTC', 400)->toArray();
}

function jobOf(string $job): Plan
{
    return Demo::plan($job, ANSWERED[$job] ?? []);
}

it('is for every kind of job what was done, and nothing else', function (string $job) {
    $sheet = sheetOf(jobOf($job));
    expect($sheet['owed'])->toBe([], $job);
    holdsGolden("sheets/{$job}", $sheet);
})->with(Demo::ALL);

it('tells nothing of a part that was left out', function (string $job) {
    $plan = jobOf($job);
    $whole = sheetOf($plan);
    foreach ($plan->steps as $step) {
        if ($step->done === null) {
            continue;
        }
        $words = json_encode(['owed' => []] + sheetOf($plan, [$step->id]));
        $count = substr_count((string) json_encode($whole), trim((string) json_encode($step->done->words), '"'));
        expect(substr_count((string) $words, trim((string) json_encode($step->done->words), '"')))->toBeLessThan(
            $count,
            "{$step->id} of {$job}",
        );
    }
})->with(Demo::ALL);

it('says what was waived, by whom, in that gate\'s words', function (string $job) {
    $plan = jobOf($job);
    $gated = array_values(
        array_filter(
            $plan->steps,
            fn ($step) => array_filter($step->gates, fn ($gate) => $gate->id === 'backup' && $gate->waives !== []) !==
                [],
        ),
    );
    if ($gated === []) {
        expect(json_encode(sheetOf($plan)))->not->toContain('No proven copy');

        return;
    }
    $waiver = new LogEntry(1, EntryKind::Waived, $gated[0]->id, 0, 'lead', [
        'gate' => 'backup',
        'words' => 'Backup verified, or waived in writing',
        'agreed_by' => 'the lounge',
        'text' => 'nothing of worth',
    ]);
    $sheet = sheetOf($plan, ['protect.back-up', 'protect.check-backup', 'protect.detach-backup'], [$waiver]);
    expect($sheet['waived'])
        ->toBe([
            [
                'what' => 'Backup verified, or waived in writing',
                'agreed_by' => 'the lounge',
                'role' => 'lead',
                'text' => 'nothing of worth',
            ],
        ])
        ->and(json_encode($sheet['parts']))
        ->toContain('No proven copy was made')
        ->not->toContain('were copied');
})->with(Demo::ALL);

it('keeps apart what was erased, laid out or kept', function () {
    $drive = fn (string $job) => json_encode(sheetOf(jobOf($job))['parts']['The drive'] ?? []);
    expect($drive('fairlead-13'))
        ->toContain('Erased: ')
        ->and($drive('upgrade'))
        ->toBe('[]')
        ->and($drive('firmware-update'))
        ->toBe('[]')
        ->and($drive('repair'))
        ->toBe('[]')
        ->and(json_encode(sheetOf(jobOf('upgrade'))))
        ->not->toContain('rased')
        ->and($drive('drive-swap'))
        ->toContain('was taken out and kept as it was');
    $restored = sheetOf(jobOf('cable-restore'));
    expect(json_encode($restored))->not->toContain('battery');
});

it('shows a difference that somebody accepted, with reason and role', function () {
    $plan = jobOf('card-swap');
    $entries = array_map(
        fn (LogEntry $entry) => $entry->step === 'hardware.close'
            ? new LogEntry($entry->id, $entry->kind, $entry->step, $entry->at, 'lead', [
                'evidence' => ['screws_in' => '3 × short'],
                'findings' => ['screws_in' => ['verdict' => 'differs', 'words' => 'short: 3, not 4']],
                'overruled' => ['screws_in' => 'lost in the slot'],
            ])
            : $entry,
        WalkThrough::entries($plan),
    );
    expect(HandoverSheet::of(Progress::of($plan, $entries), $entries, 'UTC', 0)->accepted)->toBe([
        [
            'what' => 'Screws put in, by type',
            'words' => 'short: 3, not 4',
            'reason' => 'lost in the slot',
            'role' => 'lead',
        ],
    ]);
});

it('is a draft that says what is owed while stones are open', function () {
    $sheet = sheetOf(jobOf('fairlead-13'), ['updates.system', 'put-back.secure-boot']);
    expect($sheet['owed'][0])
        ->toContain('Still to be done: ')
        ->toContain('System updates')
        ->and(json_encode($sheet['done']))
        ->not->toContain('You got it back');
});
