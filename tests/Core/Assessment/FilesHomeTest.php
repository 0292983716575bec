<?php

use Cobblestone\Assessment\BackupEvidence;
use Cobblestone\Assessment\FilesHome;
use Cobblestone\Assessment\FilesHomeEvidence;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Evidence;
use Cobblestone\Runbook\EvidenceJudge;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Tests\Support\Demo;

/** @return array<string, Evidence> */
function homeRows(array $programs = []): array
{
    return array_column(
        array_map(fn (Evidence $one) => [$one->id, $one], FilesHomeEvidence::wanted($programs)),
        1,
        0,
    );
}

it('puts back what was copied, and says what is left out', function () {
    [$puts, $counts] = (new FilesHome(
        ['Pictures', 'Letters'],
        'Bollard external drive',
        'About 62.0 GB in 11 840 files.',
        Estimate::minutes(10, 20, 40),
        ['the mail of the old account'],
    ))->steps([PathFact::UPDATED]);
    expect($puts->presence)->toBe(Presence::WalkAway)
        ->and($puts->before)->toBe([PathFact::BACKUP_SETTLED, PathFact::UPDATED])
        ->and($puts->does(Act::CopyData))->toBeTrue()
        ->and($puts->time->likely->inMinutes())->toBe(20.0)
        ->and(implode("\n", $puts->instructions))
        ->toContain('Attach Bollard external drive, read-only.')
        ->toContain('Copy Pictures, Letters into the owner\'s own folders')
        ->toContain('About 62.0 GB in 11 840 files.')
        ->toContain('Not in the copy, so not put back: the mail of the old account.')
        ->and($counts->before)->toBe([PathFact::FILES_BACK])
        ->and($counts->after)->toBe([PathFact::FILES_HOME])
        ->and(implode("\n", $counts->instructions))->not->toContain('program');
});

it('says nothing that does not apply', function () {
    [$puts] = (new FilesHome([], 'the drive', '', Estimate::minutes(1, 2, 3)))->steps([]);
    expect(implode("\n", $puts->instructions))
        ->toContain('Copy the folders the owner named')
        ->not->toContain('Not in the copy')
        ->and($puts->before)->toBe([PathFact::BACKUP_SETTLED]);
});

it('counts what is home against what is in the copy', function (string $row, string $copy, string $home, string $is) {
    $finding = EvidenceJudge::judge(homeRows()[$row], $home, [
        BackupEvidence::STEP => ['files_copy' => $copy, 'bytes_copy' => $copy],
    ]);
    expect($finding->verdict->value)->toBe($is);
})->with([
    ['files_home', '11840', '11840', 'equal'],
    ['files_home', '11840', '11839', 'differs'],
    ['files_home', '11840', '11841', 'differs'],
    ['bytes_home', '62000000000', '62000000000', 'equal'],
    ['bytes_home', '62000000000', '62000000001', 'differs'],
]);

it('wants checksums, samples, and an owner who can change them', function (string $row, string $value, string $is) {
    expect(EvidenceJudge::judge(homeRows()[$row], $value, [])->verdict->value)->toBe($is);
})->with([
    ['checksums_home', 'equal', 'equal'],
    ['checksums_home', 'differ', 'differs'],
    ['checksums_home', 'not-made', 'differs'],
    ['rights_home', 'yes', 'equal'],
    ['rights_home', 'no', 'differs'],
    ['samples_home', '3', 'noted'],
    ['online_only', 'later', 'noted'],
]);

it('has each program that the owner needs started once', function () {
    $rows = homeRows(['Tidebook ledger 4', 'Gull mail, the old one']);
    expect($rows['programs']->expected?->value)->toBe('Tidebook ledger 4, Gull mail the old one')
        ->and(EvidenceJudge::judge($rows['programs'], 'Tidebook ledger 4', [])->words)
        ->toBe('missing: Gull mail the old one')
        ->and($rows['programs']->overruledBy)->toContain('technician')
        ->and(homeRows())->not->toHaveKey('programs')
        ->and($rows['samples_home']->least)->toBe(BackupEvidence::SAMPLES);
});

it('belongs to paths that erase what was copied, and to no other', function (string $brief, array $facts, bool $is) {
    $plan = Demo::plan($brief, $facts === [] ? [] : ['machine' => ['facts' => $facts]]);
    $ids = array_column($plan->steps, 'id');
    expect(in_array(FilesHome::COUNTS, $ids, true))->toBe($is)
        ->and(in_array(FilesHome::PUTS, $ids, true))->toBe($is);
    if ($is) {
        $at = array_flip($ids);
        expect($at[FilesHome::PUTS])->toBeLessThan($at['proof.readings'])
            ->and($at[FilesHome::PUTS])->toBeGreaterThan($at[BackupEvidence::STEP])
            ->and($plan->step('hand-over.give-back')->before)->toContain(PathFact::FILES_HOME);
    } else {
        expect($plan->step('hand-over.give-back')->before ?? [])->not->toContain(PathFact::FILES_HOME);
    }
})->with([
    'a clean install' => ['fairlead-13', [], true],
    'beside other drives' => ['capstan-t3', [], true],
    'nothing kept' => ['pocket-lantern', [], false],
    'a factory image with something kept' => ['factory-restore', ['owner.keep' => 'some'], true],
    'an upgrade keeps everything' => ['upgrade', [], false],
    'a repair' => ['repair', [], false],
    'only firmware' => ['firmware-update', [], false],
    'a drive swap carries over' => ['drive-swap', [], false],
    'a new build' => ['new-capstan', [], false],
    'a stick' => ['stick-for-any', [], false],
]);
