<?php

use Cobblestone\Media\FatLabel;
use Cobblestone\Media\Split;
use Cobblestone\Media\WriteTime;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\DataRate;
use Cobblestone\Quantity\Duration;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Plan;
use Cobblestone\Storage\Fat32Geometry;
use Tests\Support\Demo;

function chosen(Plan $plan, string $id): Decision
{
    return array_values(array_filter($plan->decisions, fn (Decision $decision) => $decision->id === $id))[0];
}

it('cuts a file into legal parts without a gap or a byte too many', function (int $size, int $part, array $sizes) {
    $split = Split::of('payload/system.img', Bytes::of($size), Bytes::of($part), 'payload/system.p%d');
    expect(array_column($split->parts, 'bytes'))->toBe($sizes)
        ->and(array_column($split->parts, 'name'))->toBe(array_map(
            fn ($i) => 'payload/system.p'.($i + 1),
            array_keys($sizes),
        ))
        ->and(array_sum($sizes))->toBe($size);
})->with([
    [10, 4, [4, 4, 2]],
    [8, 4, [4, 4]],
    [1, 4, [1]],
    [5_206_302_720, 3_984_588_800, [3_984_588_800, 1_221_713_920]],
]);

it('takes 4 095 MiB as the largest whole MiB and refuses one more', function () {
    expect(Split::of('f', Bytes::gibi(8), Bytes::mebi(4095), 'p%d')->count())->toBe(3)
        ->and(fn () => Split::of('f', Bytes::gibi(8), Bytes::mebi(4096), 'p%d'))
        ->toThrow(InvalidArgumentException::class, '4 095 MiB')
        ->and(fn () => Split::of('f', Bytes::gibi(8), Bytes::of(0), 'p%d'))->toThrow(InvalidArgumentException::class)
        ->and(Split::of('f', Bytes::of(5), Bytes::of(3), 'p%d')->describe())->toBe('p1 3 B, p2 2 B');
});

it('never splits past the file limit, on random sizes', function () {
    mt_srand(3);
    for ($i = 0; $i < 2000; $i++) {
        $size = mt_rand(1, 60) * 1_000_000_007;
        $split = Split::of('f', Bytes::of($size), Bytes::mebi(mt_rand(1, 4095)), 'p%d');
        expect(max(array_column($split->parts, 'bytes')))->toBeLessThanOrEqual(Fat32Geometry::MAX_FILE)
            ->and(array_sum(array_column($split->parts, 'bytes')))->toBe($size)
            ->and(min(array_column($split->parts, 'bytes')))->toBeGreaterThan(0);
    }
});

it('writes labels that FAT takes', function (string $wish, array $taken, string $label) {
    expect(FatLabel::of($wish, $taken))->toBe($label);
})->with([
    ['Tansy 7', [], 'TANSY 7'],
    ['Straße', [], 'STRASSE'],
    ['Übersetzung', [], 'UEBERSETZUN'],
    ['crème*brûlée?', [], 'CREMEBRULEE'],
    ['Installer 2026', [], 'INSTALL2026'],
    ['Abcdefghijklmno 7', [], 'ABCDEFGHIJ7'],
    ['', [], 'STICK'],
    ["\x01\x02", [], 'STICK'],
    ['a.b;c[d]', [], 'ABCD'],
    ['TANSY', ['TANSY'], 'TANSY-2'],
    ['TANSY', ['TANSY', 'TANSY-2'], 'TANSY-3'],
    ['ABCDEFGHIJK', ['ABCDEFGHIJK'], 'ABCDEFGHI-2'],
    ['日本', [], 'STICK'],
    ['two   spaces', [], 'TWO SPACES'],
]);

it('keeps every random label legal and unlike the others', function () {
    mt_srand(5);
    $taken = [];
    for ($i = 0; $i < 500; $i++) {
        $wish = implode('', array_map(fn () => mb_chr(mt_rand(32, 400)), range(1, mt_rand(1, 20))));
        $label = FatLabel::of($wish, $taken);
        expect(strlen($label))->toBeLessThanOrEqual(11)->toBeGreaterThan(0)
            ->and($label)->toMatch('/^[^"*+,.\/:;<=>?\[\\\\\]|a-z\x00-\x1f\x7f-\xff]+$/')
            ->and($taken)->not->toContain($label);
        $taken[] = $label;
    }
});

it('names the part that sets the pace', function () {
    $time = WriteTime::of(
        Bytes::of(1_000_000_000),
        ['stick' => DataRate::megabytes(100), 'port' => DataRate::megabytes(35), 'drive' => DataRate::megabytes(500)],
        Duration::seconds(15),
    );
    expect($time->limit)->toBe('port')
        ->and($time->time->seconds)->toBe(29 + 15)
        ->and($time->rate->label())->toBe('35 MB/s')
        ->and($time->describe(Bytes::of(1_000_000_000)))->toBe('1.0 GB at 35 MB/s: port sets the pace.');
});

it('copies files where the image cannot be written raw, and writes raw where it can', function () {
    expect(chosen(Demo::plan('fairlead-13'), 'media.write-mode')->chosen)->toBe('files copied')
        ->and(chosen(Demo::plan('capstan-t3'), 'media.write-mode')->chosen)->toContain('raw')
        ->and(chosen(Demo::plan('pocket-lantern'), 'media.write-mode')->reasons[0])->toContain('compressed');
});

it('follows the scheme school and says what an older machine would do', function (
    array $policy,
    array $facts,
    string $scheme,
    ?string $code,
) {
    $plan = Demo::plan('fairlead-13', ['machine' => ['facts' => $facts]], $policy);
    $after = $plan->layouts->all()['stick']['after'];
    expect(chosen($plan, 'media.scheme')->chosen)->toBe($scheme)
        ->and($after['scheme'])->toBe(strtolower($scheme))
        ->and($after['partitions'][0]['type_code'])->toBe($code)
        ->and($after['partitions'][0]['active'] ?? false)->toBe($scheme === 'MBR');
})->with([
    [[], [], 'GPT', 'EBD0A0A2-B9E5-4433-87C0-68B6B72699C7'],
    [['scheme' => 'widest'], [], 'MBR', '0x0C'],
    [['scheme' => 'modern'], ['firmware.kind' => 'bios'], 'GPT', 'EBD0A0A2-B9E5-4433-87C0-68B6B72699C7'],
    [['scheme' => 'match'], ['firmware.kind' => 'bios'], 'MBR', '0x0C'],
]);

it('says that a stick without a legacy loader starts by UEFI only', function () {
    expect(implode(' ', chosen(Demo::plan('fairlead-13', [], ['scheme' => 'widest']), 'media.scheme')->reasons))
        ->toContain('UEFI only');
});

it('splits only what FAT32 cannot hold', function (int $largest, ?string $parts, string $chosen, int $blockers) {
    $brief = Demo::brief('fairlead-13');
    $brief['image'] = [
        'name' => 'x.iso',
        'bytes' => 8_000_000_000,
        'kind' => 'optical',
        'loader' => ['signed' => true, 'signer' => 'platform'],
        'files' => [
            'count' => 10,
            'directories' => 2,
            'bytes' => 7_000_000_000,
            'largest' => ['path' => 'big', 'bytes' => $largest, 'parts' => $parts],
        ],
    ];
    $plan = Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray($brief),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(),
    );
    expect(chosen($plan, 'media.file-system')->chosen)->toBe($chosen)->and($plan->blockers)->toHaveCount($blockers);
})->with([
    [4_294_967_295, null, 'FAT32', 0],
    [4_294_967_296, 'big.p%d', 'FAT32, big in 2 parts', 0],
    [4_294_967_296, null, 'none', 1],
]);

it('takes the smallest stick that fits, or the next size up, and says why not the others', function () {
    $smallest = chosen(Demo::plan('fairlead-13'), 'media.stick');
    $next = chosen(Demo::plan('fairlead-13', [], ['stick' => 'next-up']), 'media.stick');
    expect($smallest->chosen)->toBe('Harbour 16')
        ->and($smallest->refused['Tern 64 second'][0])->toContain('must stay')
        ->and($smallest->refused['Anchor 128'][0])->toContain('larger than needed')
        ->and($next->chosen)->toBe('Gull 32')
        ->and($next->refused['Harbour 16'][0])->toContain('next size up');
});

it('prefers a stick that goes into the machine without an adapter, and lays one out where none does', function () {
    $plan = Demo::plan('pocket-lantern');
    expect(chosen($plan, 'media.stick')->chosen)->toBe('Tern 64')
        ->and(chosen($plan, 'media.stick')->refused['Harbour 16'][0])->toContain('adapter');
    $adapter = Demo::plan('pocket-lantern', ['sticks' => ['gull-32']]);
    expect(array_map(fn ($item) => $item->what, $adapter->gather))->toContain('adapter from usb-a to usb-c');
});

it('stops where no registered stick can take the image', function () {
    $plan = Demo::plan('fairlead-13', ['sticks' => ['tern-64-b']]);
    expect($plan->verdict()->value)->toBe('stop')
        ->and($plan->blockers[0]->reason)->toContain('No stick in the register can carry this image')
        ->and($plan->layouts->all()['stick'])->toBeNull();
});

it('keeps what it needs below what the volume holds', function () {
    $after = Demo::plan('fairlead-13')->layouts->all()['stick']['after'];
    expect($after['need_bytes'])->toBeLessThan($after['capacity_bytes'])
        ->and($after['label'])->toBe('TANSY 7')
        ->and($after['partitions'][0]['fat32']['clusters'])->toBe(intdiv(
            $after['partitions'][0]['sectors'] - 32 - 2 * $after['partitions'][0]['fat32']['fat_sectors'],
            16,
        ));
});

it('times raw writes through the expander and copies by file', function () {
    $lantern = Demo::plan('pocket-lantern');
    expect($lantern->step('media.write')?->time->likely->seconds)->toBe((int) ceil(8_589_934_592 / 110_000_000))
        ->and($lantern->step('media.verify')?->time->likely->seconds)->toBe((int) ceil(8_589_934_592 / 380_000_000))
        ->and(Demo::plan('fairlead-13')->step('media.write')?->time->likely->seconds)
        ->toBe((int) ceil((6_158_221_312 + 52_428_800) / 18_000_000) + (int) ceil(947 * 0.015));
});

it('asks for the expanded size where the format does not tell it', function () {
    $brief = Demo::brief('pocket-lantern');
    $brief['image'] = [
        'name' => 'x.img.bz2',
        'bytes' => 2_000_000_000,
        'kind' => 'raw-compressed',
        'loader' => ['signed' => false],
    ];
    $brief['catalogue'] = 'none';
    $brief['system'] = ['name' => 'Corvane'];
    $brief['machine'] = ['kind' => 'handheld', 'ports' => ['usb-c' => 1], 'facts' => ['owner.keep' => 'nothing']];
    $plan = fn (array $facts) => Cobblestone\Job\JobPlanner::plan(
        Cobblestone\Brief\Brief::fromArray([
            ...$brief,
            'machine' => [...$brief['machine'], 'facts' => ['owner.keep' => 'nothing', ...$facts]],
        ]),
        Demo::catalogue(),
        Cobblestone\Policy\Policy::of(),
    );
    expect(array_map(fn ($q) => $q->fact, $plan([])->questions))->toContain('image.expanded_bytes')
        ->and($plan([])->step('media.write'))->not->toBeNull();
    expect(array_map(
        fn ($q) => $q->fact,
        $plan(['image.expanded_bytes' => '8.6 GB'])->questions,
    ))->not->toContain('image.expanded_bytes');
});
