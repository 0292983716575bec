<?php

use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\LayoutImpossible;
use Tests\Support\Workshop;

beforeEach(fn () => $this->shop = new Workshop);

afterEach(fn () => $this->shop->clear());

it('keeps to the rules when the stick fails', function (array $faults, string $kind, string $says, bool $touched) {
    $file = $this->shop->image('plain.iso');
    if (isset($faults['bad_in'])) {
        $clean = $this->shop->stick(300_000_256, 'clean.img');
        $this->shop->build($this->shop->plan($file, $clean), $clean, $file);
        $volume = Cobblestone\Storage\Reading\FatVolume::open(
            new Cobblestone\Storage\Reading\WindowSource(
                new App\Devices\Inspection\FileSource($clean->path()),
                1_048_576,
                290_000_000,
            ),
        );
        $faults = ['bad_blocks' => [1_048_576 + $volume->extents($volume->find($faults['bad_in']))->current()[0]]];
    }
    $stick = standIn($this->shop, $faults);
    $plan = $this->shop->plan($file, $stick);
    $failure = $this->shop->failure($plan, $stick, $file);
    expect($failure->kind)->toBe($kind)
        ->and($failure->getMessage())->toContain($says)
        ->and($failure->touched)->toBe($touched);
})->with([
    'a bad place in a file' => [
        ['bad_in' => 'payload/system.img'],
        'mismatch',
        'payload/system.img reads back differently from its source. It read back differently twice: the stick is '
            .'retired',
        true,
    ],
    'a bad place in the table' => [['bad_blocks' => [512]], 'mismatch', 'retired', true],
    'less room than it claims' => [['true_bytes' => 40_000_000], 'mismatch', 'retired', true],
    'write-protected' => [['write_protected' => true], 'protected', 'write-protected. Look for a switch', false],
    'it dies on the way' => [
        ['dies_after_bytes' => 2_100_000],
        'gone',
        'vanished while it was written. Plug it in again',
        true,
    ],
]);

it('tries once more when the first format fails', function () {
    $file = $this->shop->image('plain.iso');
    $stick = standIn($this->shop, ['first_format_fails' => true]);
    $result = $this->shop->build($this->shop->plan($file, $stick), $stick, $file);
    expect($result->attempts)->toBe([
        [
            'kind' => 'format',
            'message' => 'The file system could not be made: the stick did not take it.',
            'next' => 'It is tried once more.',
        ],
    ]);
});

it('writes nothing to a stick that is not the one', function () {
    $file = $this->shop->image('plain.iso');
    $stick = standIn($this->shop, []);
    $plan = $this->shop->plan($file, $stick, target: new Cobblestone\Media\Build\StickTarget(300_000_256, 512, 'GL-2'));
    $before = hash_file('sha256', $stick->path());
    $failure = $this->shop->failure($plan, $stick, $file);
    expect($failure->kind)->toBe('identity')
        ->and($failure->touched)->toBeFalse()
        ->and($failure->getMessage())->toBe(
            'This is not the stick the plan was made for. Its serial is GL-1, the plan is for GL-2. Nothing was '
                .'written.',
        )
        ->and(hash_file('sha256', $stick->path()))->toBe($before);
});

it('notices an image that changed, broke off or was swapped', function () {
    $file = $this->shop->image('disk.img.xz');
    $stick = $this->shop->stick(64_000_000);
    $plan = $this->shop->plan($file, $stick, WriteMode::Raw);
    file_put_contents($file, substr_replace((string) file_get_contents($file), 'XXXX', 2000, 4));
    expect($this->shop->failure($plan, $stick, $file))->kind->toBe('source')
        ->getMessage()
        ->toContain('could not be unpacked to its end');
    file_put_contents($file, 'short');
    expect($this->shop->failure($plan, $stick, $file))->kind->toBe('source')->getMessage()->toContain('Plan again.');
    unlink($file);
    expect($this->shop->failure($plan, $stick, $file)->getMessage())->toContain('is not on the shelf any more');
});

it('stops when somebody cancels, and when the stick is too small for what comes out', function () {
    $file = $this->shop->image('disk-gpt.img');
    $stick = $this->shop->stick(64_000_000);
    $plan = $this->shop->plan($file, $stick, WriteMode::Raw);
    expect($this->shop->failure(
        $plan,
        $stick,
        $file,
        Workshop::quiet(1_000_000),
    ))->kind->toBe('cancelled')->touched->toBeTrue();
    expect(fn () => $this->shop->plan($file, $this->shop->stick(5_000_192, 'small.img'), WriteMode::Raw))
        ->toThrow(PlanFault::class, 'Take a larger stick.');
    $packed = $this->shop->image('disk.img.bz2');
    $small = $this->shop->stick(5_000_192, 'small.img');
    expect($this->shop->failure($this->shop->plan($packed, $small, WriteMode::Raw), $small, $packed)->getMessage())
        ->toContain('larger than the stick');
});

it('refuses plans that cannot be', function (Closure $change, string $says) {
    $file = $this->shop->image('plain.iso');
    $data = $this->shop->plan($file, $this->shop->stick())->toArray();
    expect(fn () => StickPlan::fromArray($change($data)))->toThrow(PlanFault::class, $says);
})->with([
    [fn ($d) => [...$d, 'cobblestone_stick_plan' => 2], 'no stick plan of version 1'],
    [fn ($d) => [...$d, 'image' => null], 'the image is missing'],
    [
        fn ($d) => [...$d, 'image' => [...$d['image'], 'file' => '../../etc/passwd']],
        'image.file: a file\'s name without folders is needed.',
    ],
    [fn ($d) => [...$d, 'image' => [...$d['image'], 'sha256' => 'short']], 'image.sha256'],
    [fn ($d) => [...$d, 'mode' => 'sideways'], 'mode: one of raw, files-copied is needed.'],
    [fn ($d) => [...$d, 'layout' => null], 'there is none'],
    [fn ($d) => [...$d, 'layout' => [...$d['layout'], 'device_sectors' => 7]], 'its figures do not agree'],
    [
        fn ($d) => [
            ...$d,
            'layout' => [...$d['layout'], 'partitions' => [[...$d['layout']['partitions'][0], 'first_sector' => 5]]],
        ],
        'overlaps another or leaves the device',
    ],
    [fn ($d) => [...$d, 'device_bytes' => 999], 'made for a device of another size'],
    [fn ($d) => [...$d, 'files' => 'none'], 'files: a list is needed.'],
    [
        fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => '../outside']]],
        'is no path below the top of a stick',
    ],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => "line\nbreak"]]], 'a line of text is needed'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'at' => 9]]], 'reaches past the end of its source'],
    [
        fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => 'what?.txt']]],
        'has a character that FAT does not take',
    ],
    [
        fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'bytes' => 4_294_967_296, 'of' => 4_294_967_296]]],
        'more than a FAT32 file can hold',
    ],
    [
        fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => 'A.txt'], [...$d['files'][0], 'path' => 'a.TXT']]],
        'differs from another only in upper and lower case',
    ],
    [fn ($d) => [...$d, 'splitter' => [7]], 'splitter: a list of arguments is needed.'],
    [
        fn ($d) => [...$d, 'splitter' => ['command' => ['cut'], 'pattern' => 'p.bin', 'source' => 'a']],
        'splitter.pattern: names of parts with one %d are needed.',
    ],
]);

it('says when the files do not fit', function () {
    expect(fn () => $this->shop->plan($this->shop->image('plain.iso'), $this->shop->stick(20_000_256, 'tiny.img')))
        ->toThrow(LayoutImpossible::class);
});
