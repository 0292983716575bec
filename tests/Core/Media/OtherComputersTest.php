<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Media\Build\FilesPlanner;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\Script\StickScript;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\HostFit;
use Cobblestone\Media\WriteMode;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Plan;
use Cobblestone\Storage\Scheme;
use Tests\Support\Demo;
use Tests\Support\StickPlans;

function onHost(?string $host, string $image = 'tansy-desktop-7-dock', string $model = 'norrel-fairlead-13'): Plan
{
    return JobPlanner::plan(Brief::fromArray([
        'brief' => 1,
        'title' => 'a stick',
        'goal' => 'media-only',
        'machine' => ['model' => $model],
        'system' => Demo::catalogue()->image($image)->system,
        'image' => $image,
        ...$host === null ? [] : ['host' => $host],
    ]), Demo::catalogue(), Policy::of());
}

/** @return array<string, Blocker> by identifier */
function heldBack(Plan $plan): array
{
    return array_column(
        array_map(static fn (Blocker $one): array => [$one->id, $one], $plan->blockers),
        1,
        0,
    );
}

function saidAt(Plan $plan, string $id): string
{
    foreach ($plan->steps as $step) {
        if ($step->id === $id) {
            return implode("\n", $step->instructions);
        }
    }

    return '';
}

it('names the commands of the computer that makes the stick, and of no other', function () {
    $here = onHost(null);
    expect(saidAt($here, 'image.check'))->toContain('sha256sum')->not->toContain('quaysum')
        ->and(saidAt($here, 'media.write'))->not->toContain('script');
    $there = onHost('tansy-desktop-7');
    expect(saidAt($there, 'image.check'))
        ->toContain('quaysum /sha256 tansy-7.2-dock-en.iso')
        ->toContain('on a computer with Tansy Desktop 7')
        ->and(saidAt($there, 'media.identify'))->toContain('quaydisk list /serial /bytes')->not->toContain('lsblk')
        ->and(saidAt($there, 'media.write'))->toContain('`quay:2`')->toContain('--write')
        ->and(saidAt($there, 'media.write'))->not->toContain('`xz`')
        ->and(saidAt($there, 'media.verify'))->toContain('prove it')
        ->and(json_encode($there->toArray()))->not->toContain('sha256sum')->not->toContain('lsblk')
        ->and(heldBack($there))->not->toHaveKey('image-newer-than-builder')->not->toHaveKey('host-cannot');
});

it('names what is missing there where this image wants it', function (string $host, string $image, array $has) {
    $said = saidAt(onHost($host, $image), 'media.write');
    foreach (['xz', 'zstd', 'mcopy', '7zz'] as $tool) {
        in_array($tool, $has, true)
            ? expect($said)->toContain("Have `{$tool}` there before")
            : expect($said)->not->toContain("`{$tool}`");
    }
})->with([
    ['tansy-desktop-7', 'corvane-play-2', ['xz']],
    ['tansy-desktop-7', 'tansy-desktop-7-dock', []],
    ['open-desktop', 'tansy-desktop-7-dock', ['mcopy', '7zz']],
    ['open-desktop', 'orrin-desktop-3', []],
]);

it('stops where the image is newer than the tools there', function () {
    $blocker = heldBack(onHost('tansy-desktop-6'))['image-newer-than-builder'];
    expect($blocker->isStop())->toBeTrue()
        ->and($blocker->rule)->toBe('M14')
        ->and($blocker->reason)->toContain('The newest Tansy Desktop 7')->toContain('is 7.1, and this is 7.2');
});

it('keeps the writing shut where that computer has no command for the way', function () {
    $blocker = heldBack(onHost('halden-one-28'))['host-cannot'];
    expect($blocker->isStop())->toBeFalse()
        ->and($blocker->unsafe)->toContain(Act::WriteStick)->not->toContain(Act::Erase)
        ->and($blocker->reason)->toContain('copies files onto a new volume')
        ->and(heldBack(onHost('halden-one-28', 'orrin-desktop-3')))->not->toHaveKey('host-cannot');
});

it('refuses a computer that nobody described', function () {
    expect(fn () => onHost('no-such'))->toThrow(UnknownEntry::class, 'host');
});

it('compares versions as versions', function (?string $newest, ?string $version, bool $newer) {
    $document = Demo::catalogue()->hosts()['tansy-desktop-7']->toArray();
    $document['newest'] = $newest === null ? [] : [['system' => 'skerry-rolling', 'version' => $newest]];
    $host = HostProfile::fromArray($document);
    expect(HostFit::newer($host, 'skerry-rolling', 'Skerry Rolling', $version) !== null)->toBe($newer)
        ->and(HostFit::newer($host, 'another', 'Another', $version))->toBeNull();
})->with([
    ['7.9', '7.10', true], ['7.10', '7.9', false], ['7.2', '7.2', false], ['2026.11', '2026.11.1', true],
    [null, '9', false], ['7.2', null, false],
]);

it('says what a computer cannot do', function (string $host, array $what, array $says) {
    expect(HostFit::cannot(Demo::catalogue()->hosts()[$host], ...$what))->toHaveCount(count($says));
    $said = implode(' ', HostFit::cannot(Demo::catalogue()->hosts()[$host], ...$what));
    foreach ($says as $words) {
        expect($said)->toContain($words);
    }
})->with([
    ['open-desktop', [WriteMode::FilesCopied, true, true, true], []],
    ['tansy-desktop-7', [WriteMode::FilesCopied, true], []],
    ['tansy-desktop-7', [WriteMode::FilesCopied, true, true, true], ['own splitter does', 'a second partition']],
    ['tansy-desktop-7', [WriteMode::Raw, true, true, true], []],
    ['tansy-desktop-6', [WriteMode::FilesCopied, true], ['cuts a file into parts']],
    ['tansy-desktop-6', [WriteMode::FilesCopied], []],
    ['halden-one-28', [WriteMode::FilesCopied], ['copies files onto a new volume']],
    ['halden-one-28', [WriteMode::Raw], []],
]);

it('runs no script where none runs', function () {
    $document = Demo::catalogue()->hosts()['tansy-desktop-7']->toArray();
    unset($document['script']);
    expect(HostFit::cannot(HostProfile::fromArray($document), WriteMode::Raw)[0])->toContain('runs no script of ours');
});

it('makes a stick of files alone by the open tools only', function () {
    $files = [new PlannedFile('NF13.CAP', 4000, 'nf13-114.cap', 0, 'drivers', 4000)];
    $target = new StickTarget(1_999_999_488);
    $plan = FilesPlanner::plan('firmware', $target, Scheme::Mbr, 'FIRMWARE', $files);
    expect(fn () => StickScript::of($plan, Demo::catalogue()->hosts()['tansy-desktop-7']))
        ->toThrow(PlanFault::class, 'makes no stick of files alone');
    expect(StickScript::of($plan, Demo::catalogue()->hosts()['open-desktop']))
        ->toContain('install -D -m 644')
        ->not->toContain('7zz')
        ->not->toContain('there is no image');
});

it('writes every command of another computer into its script as words', function () {
    $document = Demo::catalogue()->hosts()['tansy-desktop-7']->toArray();
    $document['commands']['lay'] = ['quaydisk', 'it\'s $(here)', '{drive}', '{scheme}', '{label}'];
    $script = StickScript::of(StickPlans::plan(), HostProfile::fromArray($document));
    expect($script)->toContain("run quaydisk 'it'\\''s \$(here)' \"\$drive\" gpt 'ORRIN 3'")
        ->and($script)->toContain('build=$(quaydisk build | first)')
        ->and($script)->toContain('-ge 7100')
        ->and($script)->toContain('-le 7299');
    unset($document['commands']['build'], $document['commands']['clear'], $document['commands']['in_use']);
    unset($document['commands']['flush'], $document['commands']['drive_serial']);
    expect(StickScript::of(StickPlans::plan(), HostProfile::fromArray($document)))
        ->not->toContain('-ge 7100')
        ->not->toContain('run quaydisk clear')
        ->not->toContain('in use')
        ->not->toContain('quaydisk flush')
        ->not->toContain('the serial of $drive');
});
