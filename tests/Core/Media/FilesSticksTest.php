<?php

use Cobblestone\Brief\Brief;
use Cobblestone\Job\JobPlanner;
use Cobblestone\Machine\Model\Release;
use Cobblestone\Media\Build\FilesPlanner;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\PlannedFile;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\FilesFor;
use Cobblestone\Media\WantedFile;
use Cobblestone\Media\WantedFiles;
use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Plan;
use Cobblestone\Runbook\Step;
use Cobblestone\Storage\Scheme;
use Tests\Support\Demo;

/** @param  array<string, mixed>  $facts */
function updating(string $model, array $facts, string $to, array $update = []): Plan
{
    return JobPlanner::plan(Brief::fromArray([
        'brief' => 1, 'title' => 'an update', 'goal' => 'firmware-update',
        'machine' => ['model' => $model, 'facts' => ['drive.encryption' => 'none', ...$facts]],
        'update' => ['reason' => 'newer parts', 'to' => $to, ...$update],
    ]), Demo::catalogue(), Policy::of());
}

function stone(Plan $plan, string $id): ?Step
{
    foreach ($plan->steps as $step) {
        if ($step->id === $id) {
            return $step;
        }
    }

    return null;
}

it('puts each file under the name that the board looks for, and a second of that name into a folder', function () {
    $plan = updating('norrel-fairlead-13', ['firmware.version' => '1.08'], '1.16');
    $wanted = WantedFiles::of($plan);
    expect($wanted?->for)->toBe(FilesFor::Firmware)
        ->and(array_map(fn (WantedFile $file): array => [$file->file, $file->path], $wanted->files ?? []))
        ->toBe([['nf13-114.cap', 'NF13.CAP'], ['nf13-116.cap', 'LATER-1.16/NF13.CAP']])
        ->and(stone($plan, 'firmware.stick')?->after)->toBe([PathFact::FIRMWARE_ON_STICK])
        ->and(stone($plan, 'firmware.write-1.14')?->before)->toContain(PathFact::FIRMWARE_ON_STICK)
        ->and(stone($plan, 'firmware.write-1.14')?->instructions[0])->toContain('Put the stick into USB-')
        ->and(stone($plan, 'firmware.write-1.16')?->instructions[0])->toContain('move `LATER-1.16/NF13.CAP`');
});

it('names a socket on the board itself where there is a front and a rear', function () {
    $said = stone(
        updating('brackwater-capstan-t3', ['firmware.version' => 'F9', 'board.revision' => '2'], 'F12'),
        'firmware.write-f12',
    )?->instructions[0];
    expect($said)->toContain('rear, next to the network socket: a socket on the board itself');
});

it('makes no stick where the file lies on one already, or nobody knows the file', function () {
    $there = updating('norrel-fairlead-13', ['firmware.version' => '1.08'], '1.16', ['on_stick' => 'NF13.CAP']);
    expect(WantedFiles::of($there))->toBeNull()
        ->and(stone($there, 'firmware.stick'))->toBeNull()
        ->and(stone($there, 'firmware.fetch')?->instructions)->toContain('`NF13.CAP` lies on a stick already: it must '
            .'be this file, in the top folder of FAT32; compare its checksum with the maker\'s.');
    $unknown = updating('norrel-fairlead-13', ['firmware.version' => '1.08'], '9.99');
    expect(WantedFiles::of($unknown))->toBeNull()->and(stone($unknown, 'firmware.stick'))->toBeNull();
});

it('wants a second stick for drivers where the image is written raw', function () {
    $plan = JobPlanner::plan(Brief::fromArray([
        'brief' => 1, 'title' => 'raw', 'system' => 'skerry-rolling', 'image' => 'skerry-rolling',
        'machine' => ['model' => 'brackwater-capstan-t3', 'facts' => ['owner.keep' => 'nothing']],
        'policy' => ['driver_order' => 'network-first'],
    ]), Demo::catalogue()->with('drivers', [
        'for-all' => [
            ...Demo::catalogue()->all('drivers')['quarrel-n1-wired'], 'id' => 'for-all',
            'systems' => ['skerry-rolling'],
        ],
    ])->with('systems', [
        'skerry-rolling' => [...Demo::catalogue()->all('systems')['skerry-rolling'], 'brings' => []],
    ]), Policy::of());
    $wanted = WantedFiles::of($plan);
    expect($wanted?->for)->toBe(FilesFor::Drivers)
        ->and($wanted?->files)->toBe([])
        ->and(stone($plan, 'media.drivers')?->before)->toBe([PathFact::DRIVERS_FETCHED])
        ->and(stone($plan, 'media.verify')?->before)->toContain(PathFact::DRIVERS_ON_STICK)
        ->and(json_encode(stone($plan, 'media.write')?->instructions))->not->toContain('second stick');
});

it('plans a stick of files alone, and refuses one of none', function () {
    $files = [new PlannedFile('NF13.CAP', 4000, 'nf13-114.cap', 0, 'drivers', 4000)];
    $target = new StickTarget(2_000_000_000 - 2_000_000_000 % 512);
    $plan = FilesPlanner::plan('firmware', $target, Scheme::Mbr, 'FIRMWARE', $files);
    expect(StickPlan::fromArray($plan->toArray()))->toEqual($plan)
        ->and($plan->image->isFolder())->toBeTrue()
        ->and($plan->label)->toBe('FIRMWARE')
        ->and($plan->layout?->partitions)->toHaveCount(1);
    expect(fn () => FilesPlanner::plan('firmware', new StickTarget(2_000_000_000), Scheme::Mbr, 'F', []))
        ->toThrow(PlanFault::class, 'no file');
});

it('looks for a file under its own name where no other is known', function () {
    expect((new Release('1', 'a.cap', [1, 2, 3]))->nameOnStick())->toBe('a.cap')
        ->and((new Release('1', 'a.cap', [1, 2, 3], stickFile: 'B.CAP'))->nameOnStick())->toBe('B.CAP');
});
