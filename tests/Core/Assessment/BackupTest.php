<?php

use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Refused;
use Tests\Support\Demo;

/**
 * @param  array<string, string>  $given
 * @return array<string, mixed>
 */
function proven(array $given, ?int $files = null, ?int $bytes = null, array $accepted = [], string $role = ''): array
{
    $step = Demo::step(
        BackupEvidence::STEP,
        evidence: BackupEvidence::wanted($files, $bytes === null ? null : Cobblestone\Quantity\Bytes::of($bytes)),
    );

    return (new Cobblestone\Runbook\Walk(Cobblestone\Runbook\Progress::of(Demo::planOf([$step]), [])))
        ->done($step, $given, $accepted, $role);
}

$proof = [
    'files_source' => '11 840',
    'files_copy' => '11840',
    'bytes_source' => '24117248000',
    'bytes_copy' => '24117248000',
    'checksums' => 'equal',
    'samples' => '3',
];

it('takes a backup as proven when count, bytes, checksums and samples say so', function () use ($proof) {
    expect(proven($proof)['evidence'])->toBe($proof)
        ->and(array_map(fn ($evidence) => $evidence->id, BackupEvidence::wanted(null, null)))->toBe(array_keys($proof));
});

it('says which part of the proof is missing', function (array $change, string $field, string $sentence) use ($proof) {
    try {
        proven([...$proof, ...$change]);
        $this->fail();
    } catch (Refused $e) {
        expect($e->field)->toBe($field)->and($e->getMessage())->toContain($sentence);
    }
})->with([
    [['files_copy' => '11839'], 'files_copy', '11 839 read, 11 840 expected (earlier evidence): 1 less. Copy again'],
    [
        ['bytes_copy' => '24117247999'],
        'bytes_copy',
        '24 117 247 999 B read, 24 117 248 000 B expected (earlier evidence): 1 less',
    ],
    [
        ['checksums' => 'differ'],
        'checksums',
        '"some differ" read, "all equal" expected (plan). Copy the differing files again',
    ],
    [['checksums' => 'not-made'], 'checksums', 'not compared'],
    [['samples' => '2'], 'samples', 'at least 3'],
    [['files_source' => '0', 'files_copy' => '0'], 'files_source', 'at least 1 is needed'],
]);

it('takes no copy for proven that is not what was planned', function () use ($proof) {
    $tiny = [...$proof, 'files_source' => '1', 'files_copy' => '1', 'bytes_source' => '1', 'bytes_copy' => '1'];
    expect(fn () => proven($tiny, 11840, 24117248000))->toThrow(
        Refused::class,
        'Files in the original folders: 1 read, 11 840 expected (plan): 11 839 less.',
    )
        ->and(proven($proof, 11840, 24117248000))->not->toHaveKey('overruled')
        ->and(proven($proof, 11300, 23000000000)['findings']['files_source']['verdict'])->toBe('within')
        ->and(fn () => proven($proof, 11277, 24117248000))->not->toThrow(Refused::class)
        ->and(fn () => proven($proof, 11276, 24117248000))->toThrow(Refused::class);
    $accepted = ['files_source' => 'deleted by the owner since', 'bytes_source' => 'the same'];
    expect(fn () => proven($tiny, 11840, 24117248000, $accepted, 'newcomer'))->toThrow(Refused::class)
        ->and(fn () => proven($tiny, 11840, 24117248000, ['files_source' => ' ', 'bytes_source' => 'x'], 'lead'))
        ->toThrow(Refused::class)
        ->and(proven($tiny, 11840, 24117248000, $accepted, 'technician')['overruled'])->toBe($accepted);
    $brief = Demo::plan('fairlead-13')->step('protect.check-backup')->evidence;
    expect([$brief[0]->expected?->value, $brief[2]->expected?->value])->toBe(['11840', '24117248000']);
});

it('has no backup gate for a blank drive', function () {
    $blank = json_encode([
        'blockdevices' => [
            ['name' => 'nvme0n1', 'size' => 256060514304, 'type' => 'disk', 'serial' => 'BLANK-1', 'pttype' => null],
            ['name' => 'sda', 'size' => 9, 'type' => 'disk', 'rm' => true, 'pttype' => 'dos'],
        ],
    ]);
    $plan = Demo::plan('fairlead-13', ['machine' => ['lsblk' => $blank, 'facts' => []], 'backup' => null]);
    expect($plan->step('target.erase')?->gates)->toBe([])
        ->and($plan->step('protect.back-up'))->toBeNull()
        ->and($plan->step('target.erase')?->confirmation?->loses)->toBe('nothing: the drive is blank')
        ->and($plan->verdict()->value)->toBe('go')
        ->and($plan->questions)->toBe([]);
    // What is kept lies elsewhere in the machine then: a blank target is no reason not to copy it.
    $kept = Demo::plan('fairlead-13', ['machine' => ['lsblk' => $blank, 'facts' => []]]);
    expect($kept->step('protect.back-up'))->not->toBeNull()
        ->and($kept->step('target.erase')?->gates[0]->id)->toBe('backup')
        ->and($kept->decision('assess.backup')?->chosen)->not->toBe('none needed');
});

it('opens the gate by the owner\'s word where nothing is kept', function () {
    $plan = Demo::plan('pocket-lantern');
    expect($plan->step('protect.back-up'))->toBeNull()
        ->and($plan->step('protect.owner-word')?->after)->toContain(PathFact::BACKUP_SETTLED)
        ->and($plan->step('target.erase')?->gates[0]->opensBy)->toBe('protect.owner-word')
        ->and($plan->step('target.erase')?->gates[0]->waivableBy)->toBe([]);
});

it('stops where the backup does not fit or would go onto the erased drive', function () {
    $short = Demo::plan('fairlead-13', [
        'backup' => ['destination' => ['name' => 'Small', 'free_bytes' => 26_528_972_799]],
    ]);
    $fits = Demo::plan('fairlead-13', [
        'backup' => ['destination' => ['name' => 'Small', 'free_bytes' => 26_528_972_800]],
    ]);
    $same = Demo::plan('fairlead-13', [
        'backup' => ['destination' => ['name' => 'Itself', 'serial' => 'SM3-2207-88415D']],
    ]);
    expect($short->verdict()->value)->toBe('stop')
        ->and($short->blockers[0]->reason)->toContain('short by 1 B')
        ->and($fits->blockers)->toBe([])
        ->and($same->blockers[0]->reason)->toContain('is the drive that is erased');
});

it('times the copy at the slower end plus the files', function () {
    expect(Demo::plan('fairlead-13')->step('protect.back-up')?->time->likely->seconds)
        ->toBe((int) ceil(24_117_248_000 / 120_000_000) + 178);
    expect(
        Demo::plan('fairlead-13', ['backup' => ['source_mb_s' => 60]])->step('protect.back-up')?->time->likely->seconds,
    )
        ->toBe((int) ceil(24_117_248_000 / 60_000_000) + 178);
});

it('counts the used part of the drive where no size is given, and says so where nothing is known', function () {
    $brief = fn (array $backup) => Demo::plan('fairlead-13', [
        'backup' => ['bytes' => null, 'files' => null, ...$backup],
    ]);
    expect(
        decision(
            Demo::plan('capstan-t3', ['backup' => ['bytes' => null, 'files' => null]]),
            'assess.backup',
        )->reasons[0],
    )
        ->toContain('148.2 GB in the used part');
    expect(decision($brief([]), 'assess.backup')->reasons[0])->toContain('not known yet');
    expect(fn () => $brief(['bytes' => 'lots']))->toThrow(BriefFault::class, 'backup.bytes');
    expect(fn () => $brief(['destination' => ['name' => 'x', 'free_bytes' => '5G']]))
        ->toThrow(BriefFault::class, 'backup.destination.free_bytes');
});

it('minds what a destination\'s file system holds', function () {
    $to = fn (array $destination, array $more = []) => Demo::plan('fairlead-13', [
        'backup' => ['destination' => ['name' => 'Bollard', ...$destination], ...$more],
    ]);
    expect($to(['file_system' => 'fat32'], ['largest_bytes' => 4_294_967_296])->blockers[0]->reason)
        ->toContain('FAT32, which holds no file over 4 294 967 295 bytes; the largest has 4 294 967 296 B')
        ->and($to(['file_system' => 'fat32'], ['largest_bytes' => 4_294_967_295])->blockers)->toBe([])
        ->and($to(['file_system' => 'ext4'], ['largest_bytes' => '9 GB'])->blockers)->toBe([])
        ->and($to([], ['largest_bytes' => '9 GB'])->blockers)->toBe([])
        ->and($to(['file_system' => 'fat32'])->step('protect.back-up')?->cautions)->toHaveCount(3)
        ->and($to(['file_system' => 'exfat'])->step('protect.back-up')?->cautions[1])->toContain('"*:<>?|\\')
        ->and($to(['file_system' => 'ext4'])->step('protect.back-up')?->cautions)->toHaveCount(1)
        ->and($to(['file_system' => 'fat32'], ['largest_bytes' => 5])->step('protect.back-up')?->cautions)
        ->toHaveCount(2);
    expect(fn () => $to([], ['largest_bytes' => 'big']))->toThrow(BriefFault::class, 'backup.largest_bytes');
});

it('lists what of the owner\'s is not copied, and has it said aloud', function () {
    $plan = Demo::plan('fairlead-13', [
        'backup' => ['seen_folders' => ['crew papers', 'music', 'rota'], 'excluded' => ['online-only pictures']],
    ]);
    expect($plan->assessment->all()['backup']['not_covered'])->toBe(['music', 'online-only pictures'])
        ->and($plan->step('protect.owner-word')?->instructions[2])
        ->toBe('Say aloud what is not copied: music; online-only pictures.')
        ->and(Demo::plan('fairlead-13')->step('protect.owner-word')?->instructions)->toHaveCount(2);
    $brief = Demo::brief('fairlead-13');
    $locked = Demo::plan('fairlead-13', [
        'machine' => [
            'lsblk' => preg_replace(
                '/"ntfs"(,\s+"label": "Old system")/',
                '"crypto_LUKS"$1',
                $brief['machine']['lsblk'],
            ),
        ],
    ]);
    expect($locked->assessment->all()['backup']['not_covered'][0])->toContain('Old system: an encrypted volume');
});

it('copies from a live system where the old one does not start', function () {
    $starts = fn (array $facts) => Demo::plan('fairlead-13', [
        'machine' => ['facts' => ['drive.encryption' => 'none', ...$facts]],
    ])
        ->step('protect.back-up')?->instructions[0];
    expect($starts([]))->toContain('running old system')
        ->and($starts(['old_system.starts' => 'no']))->toContain('Start a live system')
        ->and($starts(['symptom.starts' => 'recovery']))->toContain('Start a live system');
});
