<?php

use Cobblestone\Media\Build\BuildSteps;
use Cobblestone\Media\Build\FailureRule;
use Cobblestone\Media\Build\FatNames;
use Cobblestone\Media\Build\GeometryCheck;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\SourceImage;
use Cobblestone\Media\Build\SplitCheck;
use Cobblestone\Media\Build\Splitter;
use Cobblestone\Media\Build\Staleness;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\Build\StickPlanner;
use Cobblestone\Media\Build\StickTarget;
use Cobblestone\Media\Build\StickWish;
use Cobblestone\Media\Build\TrueSize;
use Cobblestone\Media\Inspection\ImageInspector;
use Cobblestone\Media\Inspection\Signers;
use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\LayoutImpossible;
use Cobblestone\Storage\Reading\StringSource;
use Cobblestone\Storage\Scheme;
use Cobblestone\Storage\TableBytes;
use Tests\Support\Images;
use Tests\Support\StickPlans;

it('plans copied files to the byte and survives a round trip', function (Scheme $scheme) {
    $plan = StickPlans::plan(scheme: $scheme);
    $again = StickPlan::fromArray(json_decode(json_encode($plan->toArray()), true));
    expect($again->toArray())->toEqual($plan->toArray())->and($plan->bytes())->toBe(8152)->and($plan->label)->toBe('ORRIN 3')
        ->and($plan->layout->scheme)->toBe($scheme)->and($plan->layout->partitions)->toHaveCount(1)->and($plan->layout->partitions[0]->active)->toBe($scheme === Scheme::Mbr)
        ->and($plan->layout->partitions[0]->extent->first)->toBe(2048)->and($plan->image->sha256)->toBe(str_repeat('a', 64))->and($plan->splitter)->toBeNull();
})->with([Scheme::Gpt, Scheme::Mbr]);

it('splits what is too large into parts that are legal and complete', function () {
    $size = 9_000_000_000;
    $plan = StickPlans::plan(['payload/system.img' => $size, 'a' => 1], bytes: 16_000_000_000, parts: ['payload/system.img' => 'payload/system.p%d']);
    $parts = array_values(array_filter($plan->files, fn ($file) => $file->isPart()));
    expect(array_map(fn ($part) => [$part->path, $part->at, $part->bytes, $part->of], $parts))->toBe([
        ['payload/system.p1', 0, 3_984_588_800, $size], ['payload/system.p2', 3_984_588_800, 3_984_588_800, $size], ['payload/system.p3', 7_969_177_600, 1_030_822_400, $size],
    ])->and(array_sum(array_map(fn ($part) => $part->bytes, $parts)))->toBe($size)->and($plan->bytes())->toBe($size + 1)
        ->and(SplitCheck::faults(array_combine(array_map(fn ($part) => $part->path, $parts), array_map(fn ($part) => $part->bytes, $parts)), 'payload/system.p%d', 'payload/system.img', $size))->toBe([]);
    expect(StickPlans::plan(['x' => 4_294_967_295], bytes: 16_000_000_000)->files[0]->isPart())->toBeFalse();
    expect(fn () => StickPlans::plan(['x' => 4_294_967_296], bytes: 16_000_000_000))->toThrow(PlanFault::class, 'does not join parts');
});

it('keeps the system\'s own splitter only where something is split', function () {
    $command = ['own', '{source}', '{target}'];
    $wish = ['parts' => ['big' => 'p%d'], 'splitter' => $command, 'bytes' => 16_000_000_000];
    $plan = StickPlans::plan(['big' => 5_000_000_000], ...$wish);
    expect($plan->splitter->toArray())->toBe(['command' => $command, 'pattern' => 'p%d', 'source' => 'big'])->and(StickPlan::fromArray(json_decode(json_encode($plan->toArray()), true))->splitter)->toEqual($plan->splitter)
        ->and(StickPlans::plan(['small' => 5], ...$wish)->splitter)->toBeNull();
    foreach ([[], 'x', ['command' => []], ['command' => [1]], ['command' => ['a'], 'pattern' => 'none', 'source' => 'a'], ['command' => ['a'], 'pattern' => '%d%s', 'source' => 'a']] as $wrong) {
        expect(fn () => Splitter::fromArray($wrong))->toThrow(PlanFault::class);
    }
});

it('puts drivers into a folder of their own that clashes with nothing', function () {
    $paths = fn (array $files) => array_map(fn ($file) => $file->path, StickPlans::plan($files, ['net/w2.inf' => 10])->files);
    expect($paths(['a' => 1]))->toBe(['a', 'DRIVERS/net/w2.inf'])->and($paths(['drivers/a' => 1]))->toBe(['drivers/a', 'DRIVERS2/net/w2.inf'])->and($paths(['Drivers' => 1, 'DRIVERS2/x' => 1]))->toBe(['Drivers', 'DRIVERS2/x', 'DRIVERS3/net/w2.inf']);
    $file = StickPlans::plan(['a' => 1], ['net/w2.inf' => 10])->files[1];
    expect([$file->from, $file->source, $file->bytes, $file->of])->toBe(['drivers', 'net/w2.inf', 10, 10]);
});

it('leaves room for storage in steps of 256 MiB, fifteen percent above the need', function (int $payload, int $mebi) {
    $plan = StickPlans::plan(['payload' => $payload], storage: true);
    expect($plan->layout->partitions[0]->extent->count * 512)->toBe($mebi * 1_048_576)->and($plan->layout->partitions[1]->fileSystem)->toBe('exfat')->and($plan->layout->partitions[1]->name)->toBe('storage');
})->with([[1000, 512], [400_000_000, 512], [480_000_000, 768], [2_000_000_000, 2304]]);

it('says what stands against a plan', function (Closure $plan, string $class, string $says) {
    expect($plan)->toThrow($class, $says);
})->with([
    [fn () => StickPlans::plan(['payload' => 60_000_000], bytes: 40_000_000), LayoutImpossible::class, 'There is no room for the files'],
    [fn () => StickPlans::plan(['payload' => 9], bytes: 20_000_256), LayoutImpossible::class, 'would not be FAT32'],
    [fn () => StickPlans::plan(['a' => 8_000_000_000], bytes: StickPlans::BYTES, parts: ['a' => 'a%d']), LayoutImpossible::class, 'There is no room for the files'],
    [fn () => StickPlanner::plan(StickPlans::report(), null, new StickTarget(StickPlans::BYTES), new StickWish('x', Bytes::mebi(1), WriteMode::Raw), [], ['a' => 1]), PlanFault::class, 'the drivers go onto a second stick'],
    [fn () => StickPlanner::plan(StickPlans::report('plain.iso'), null, new StickTarget(StickPlans::BYTES), new StickWish('x', Bytes::mebi(1), WriteMode::Raw)), PlanFault::class, 'Copy its files instead.'],
    [fn () => StickPlanner::plan(StickPlans::report('disk-gpt.img'), null, new StickTarget(StickPlans::BYTES), new StickWish('x', Bytes::mebi(1), WriteMode::FilesCopied)), PlanFault::class, 'There is no tree of files to copy. Write it raw instead.'],
    [fn () => StickPlanner::plan(StickPlans::report('disk-gpt.img'), null, new StickTarget(6_291_455), new StickWish('x', Bytes::mebi(1), WriteMode::Raw)), PlanFault::class, 'The image has 6291456 B when written, the stick 6291455 B.'],
]);

it('takes a stick that is exactly as large as the image', function () {
    $plan = StickPlanner::plan(StickPlans::report('disk-gpt.img'), null, new StickTarget(6_291_456), new StickWish('x', Bytes::mebi(1), WriteMode::Raw));
    expect($plan->bytes())->toBe(6_291_456)->and($plan->layout)->toBeNull()->and($plan->label)->toBeNull()->and(BuildSteps::sfdiskScript($plan))->toBe('')->and(BuildSteps::scratch($plan, 10))->toBe(0);
});

it('names the source as it has to be read', function (string $image, ?string $tree, ?string $compression, ?int $expanded) {
    $source = SourceImage::of(ImageInspector::inspect(Images::source($image), $image, Images::tools(['a' => 'b'], Images::bytes('disk-gpt.img')), Signers::unknown()), null);
    expect([$source->tree, $source->compression, $source->expanded, $source->sha256])->toBe([$tree, $compression, $expanded, null])->and(SourceImage::fromArray($source->toArray()))->toEqual($source);
})->with([['udf.iso', 'udf', null, strlen(Images::bytes('udf.iso'))], ['plain.iso', 'iso', null, strlen(Images::bytes('plain.iso'))], ['fat16.img', 'fat', null, 16_777_216], ['disk.img.xz', null, 'xz', 6_291_456], ['disk.img.bz2', null, 'bzip2', null]]);

it('passes every value to the tools', function () {
    $plan = StickPlans::plan(scheme: Scheme::Mbr, storage: true);
    [$fat, $exfat] = $plan->layout->partitions;
    $g = $fat->fat32;
    expect(BuildSteps::vfat($fat, $plan, '/x'))->toBe(['mkfs.vfat', '-F', '32', '-S', '512', '-s', (string) $g->sectorsPerCluster, '-R', '32', '-f', '2', '-a', '-h', '2048', '-i', BuildSteps::volumeId($plan), '-n', 'ORRIN 3', '/x'])
        ->and(BuildSteps::volumeId($plan))->toMatch('/^[0-9A-F]{8}$/')->toBe(BuildSteps::volumeId(StickPlans::plan(scheme: Scheme::Mbr, storage: true)))
        ->and(BuildSteps::vfatBytes($fat))->toBe((32 + 2 * $g->fatSectors + $g->sectorsPerCluster) * 512)
        ->and(BuildSteps::exfat($exfat, '/x'))->toBe(['mkfs.exfat', '-L', 'storage', '/x'])
        ->and(BuildSteps::drive($fat, $plan, '/dev/x'))->toBe('/dev/x@@1048576')->and(BuildSteps::target($plan))->toBe($fat)
        ->and(BuildSteps::sfdisk('/x'))->toBe(['sfdisk', '--quiet', '--no-reread', '--no-tell-kernel', '--wipe=always', '/x'])
        ->and(BuildSteps::folders($plan))->toBe(['EFI', 'EFI/BOOT', 'payload'])
        ->and(BuildSteps::scratch($plan, 5000))->toBe(3152)->and(BuildSteps::scratch($plan, 5001))->toBe(8152);
    expect(fn () => BuildSteps::vfat($exfat, $plan, '/x'))->toThrow(PlanFault::class);
    expect(fn () => BuildSteps::vfatBytes($exfat))->toThrow(PlanFault::class);
    $boot = str_pad(str_repeat("\0", 88).pack('VVV', 4096, 1000, 5).str_repeat("\0", 8).chr(9).chr(3), 512, "\0");
    expect(BuildSteps::exfatBytes($boot))->toBe(4096 * 512 + 4 * 4096)->and(fn () => BuildSteps::exfatBytes('short'))->toThrow(PlanFault::class);
});

it('makes one folder of names that differ only in case', function () {
    expect(BuildSteps::folders(StickPlans::plan(['efi/boot/a' => 1, 'EFI/BOOT/b' => 1, 'EFI/x/c' => 1])))->toBe(['efi', 'efi/boot', 'EFI/x']);
});

it('tells a stick from another', function () {
    $plan = StickPlans::plan();
    expect((new StickTarget(StickPlans::BYTES, 512, 'GL-1'))->differencesFrom($plan))->toBe([])
        ->and((new StickTarget(StickPlans::BYTES - 512, 4096, null))->differencesFrom($plan))->toBe(['It has 7 999 999 488 B, the plan is for 8 000 000 000 B.', 'Its serial is missing, the plan is for GL-1.', 'Its sectors have 4096 B, the plan is for 512 B.'])
        ->and((new StickTarget(StickPlans::BYTES, 512, 'GL-2'))->differencesFrom($plan))->toBe(['Its serial is GL-2, the plan is for GL-1.']);
    $unnamed = StickPlan::fromArray([...$plan->toArray(), 'serial' => null]);
    expect((new StickTarget(StickPlans::BYTES, 512, 'any'))->differencesFrom($unnamed))->toBe([]);
});

it('finds every difference between what was built and what was planned', function () {
    $plan = StickPlans::plan(bytes: 40_000_000 - 40_000_000 % 512, files: ['a' => 1]);
    $bytes = str_repeat("\0", $plan->device);
    foreach (TableBytes::of($plan->layout) as $at => $piece) {
        $bytes = substr_replace($bytes, $piece, $at, strlen($piece));
    }
    $check = fn (string $bytes, ?StickPlan $against = null) => GeometryCheck::differences($against ?? $plan, new StringSource($bytes));
    expect($check($bytes))->toBe(['There is no FAT32 file system where it was planned.'])
        ->and($check(substr_replace($bytes, "\0", 512, 1))[0])->toContain('The GPT at the start is damaged')
        ->and($check(str_repeat("\0", $plan->device)))->toBe(['The table is none, planned is gpt.', 'There are 0 partitions, planned are 1.']);
    $fat = Images::bytes('fat32.img');
    $built = substr_replace($bytes, substr($fat, 0, 36_000_000), 1_048_576, 36_000_000);
    $faults = $check($built);
    expect($faults)->toContain('The label is "TEST 32", planned is "ORRIN 3".')->toContain('The file system\'s hidden is 0, planned is 2048.')->toContain('The file system\'s sectors is 69632, planned is '.$plan->layout->partitions[0]->fat32->sectors.'.');
    $mbr = StickPlans::plan(bytes: $plan->device, files: ['a' => 1], scheme: Scheme::Mbr);
    expect($check($bytes, $mbr))->toContain('The table is gpt, planned is mbr.')
        ->and(GeometryCheck::differences(StickPlanner::plan(StickPlans::report('disk-gpt.img'), null, new StickTarget(9_000_000), new StickWish('x', Bytes::mebi(1), WriteMode::Raw)), new StringSource('')))->toBe([]);
    $other = TableBytes::of(StickPlans::plan(bytes: $plan->device, files: ['a' => 1], scheme: Scheme::Mbr)->layout)[0];
    expect($check(substr_replace(str_repeat("\0", $plan->device), substr_replace($other, "\0", 446, 1), 0, 512), $mbr))->toContain('Partition 1 is of type 0x0C, planned is 0x0C, active.')
        ->and($check(substr_replace(str_repeat("\0", $plan->device), substr_replace($other, pack('V', 2049), 446 + 8, 4), 0, 512), $mbr)[0])->toContain('sectors from 2049, planned are 75776 from 2048.');
});

it('says which names FAT cannot take', function (string $path, string $why) {
    expect(FatNames::faults([$path]))->toBe($why === '' ? [] : ["\"{$path}\" {$why}."]);
})->with([
    ['EFI/BOOT/BOOTX64.EFI', ''], ['a folder/ümlaut & (1) [x].txt', ''], ['a?b', 'has a character that FAT does not take'], ['a:b', 'has a character that FAT does not take'], ['x/con*', 'has a character that FAT does not take'], ['a"b', 'has a character that FAT does not take'],
    ['a|b', 'has a character that FAT does not take'], ['a<b', 'has a character that FAT does not take'], ['a\\b', 'has a character that FAT does not take'], ['ends.', 'ends with a dot or a space'], ['ends /x', 'ends with a dot or a space'], ['../x', 'leads outside or nowhere'], ['a//b', 'leads outside or nowhere'], ['./a', 'leads outside or nowhere'],
    [str_repeat('n', 255), ''],
]);

it('says which names are too long, broken or alike', function () {
    expect(FatNames::faults([str_repeat('n', 256)])[0])->toContain('more than 255 characters')->and(FatNames::faults([str_repeat('𝄞', 128)])[0])->toContain('more than 255 characters')->and(FatNames::faults([str_repeat('𝄞', 127)]))->toBe([])
        ->and(FatNames::faults(["bad\xFF"])[0])->toContain('is not written in UTF-8')->and(FatNames::faults(['Read.me', 'READ.ME']))->toBe(['"READ.ME" differs from another only in upper and lower case.'])
        ->and(FatNames::faults(array_map(fn ($i) => "{$i}?", range(1, 30))))->toHaveCount(10)->and(FatNames::faults(["line\nbreak"])[0])->toBe('"line?break" has a character that FAT does not take.');
});

it('judges parts, whoever cut them', function (array $files, array $faults) {
    expect(SplitCheck::faults($files, 'p/s%d.bin', 'p/s.bin', 1_000_000))->toBe($faults);
})->with([
    [['p/s1.bin' => 600_000, 'P/S2.BIN' => 400_000, 'p/other' => 5], []], [['p/s1.bin' => 1_020_000], []], [['p/s1.bin' => 980_000], []],
    [['p/s1.bin' => 1_020_001], ['Together the parts have 1020001 B, the whole has 1000000 B.']], [['p/s1.bin' => 979_999], ['Together the parts have 979999 B, the whole has 1000000 B.']],
    [['p/s1.bin' => 500_000, 'p/s3.bin' => 500_000], ['The parts are numbered 1, 3: one is missing.']], [['p/s2.bin' => 1_000_000], ['The parts are numbered 2: one is missing.']],
    [['p/s1.bin' => 1_000_000, 'p/s2.bin' => 0], ['Part 2 has 0 B; a FAT32 file has 1 to 4294967295 B.']], [['p/s.bin' => 1_000_000, 'p/s1.bin' => 1_000_000], ['p/s.bin is on the stick as a whole too.']], [['p/x' => 1], ['There is no part of it.']],
]);

it('knows a part that no FAT32 file can hold', function () {
    expect(SplitCheck::faults(['a1' => 4_294_967_296], 'a%d', 'a', 4_294_967_296))->toBe(['Part 1 has 4294967296 B; a FAT32 file has 1 to 4294967295 B.'])->and(SplitCheck::faults(['a1' => 4_294_967_295], 'a%d', 'a', 4_294_967_295))->toBe([])
        ->and(SplitCheck::isPart('A12', 'a%d'))->toBeTrue()->and(SplitCheck::isPart('ab', 'a%d'))->toBeFalse();
});

it('finds where a stick stops being honest', function () {
    $places = TrueSize::places(100 * 4096 + 100, 10);
    expect($places)->toBe([0, 45_056, 90_112, 135_168, 180_224, 225_280, 270_336, 315_392, 360_448, 405_504])->and(TrueSize::places(3 * 4096, 10))->toBe([0, 4096, 8192])->and(TrueSize::places(4096, 10))->toBe([0])->and(TrueSize::places(100, 10))->toBe([]);
    $read = array_combine($places, array_map(fn ($place) => TrueSize::stamp($place, 'run'), $places));
    expect(TrueSize::judge($read, 'run'))->toBe(['honest' => true, 'from' => null, 'wraps' => false])->and(TrueSize::judge($read, 'other')['honest'])->toBeFalse()
        ->and(TrueSize::judge([...array_slice($read, 0, 5, true) + array_fill_keys(array_slice($places, 5), str_repeat("\0", 4096))], 'run'))->toMatchArray(['honest' => false, 'from' => 1])
        ->and(strlen(TrueSize::stamp(8192, 'run')))->toBe(4096);
    $lost = $read;
    foreach (array_slice($places, 5) as $place) {
        $lost[$place] = str_repeat("\0", 4096);
    }
    expect(TrueSize::judge($lost, 'run'))->toBe(['honest' => false, 'from' => 225_280, 'wraps' => true]);
    $lost[225_280] = str_repeat("\xFF", 4096);
    expect(TrueSize::judge($lost, 'run')['wraps'])->toBeFalse();
    $wrapped = $read;
    $wrapped[405_504] = TrueSize::stamp(45_056, 'run');
    expect(TrueSize::judge($wrapped, 'run'))->toBe(['honest' => false, 'from' => 405_504, 'wraps' => true]);
});

it('follows the rule after every failure', function () {
    $rule = fn (string $kind, int $before) => array_values(array_intersect_key(FailureRule::after($kind, $before), ['retry' => 1, 'retire' => 1]));
    expect($rule('format', 0))->toBe([true, false])->and($rule('format', 1))->toBe([false, false])->and($rule('format', 2))->toBe([false, true])->and($rule('write', 0))->toBe([true, false])->and($rule('write', 1))->toBe([false, false])
        ->and($rule('mismatch', 0))->toBe([true, false])->and($rule('mismatch', 1))->toBe([false, true])->and($rule('size', 0))->toBe([false, true])
        ->and($rule('gone', 0))->toBe([false, false])->and($rule('protected', 3))->toBe([false, false])->and($rule('room', 0))->toBe([false, false])->and($rule('source', 0))->toBe([false, false]);
    foreach (FailureRule::KINDS as $kind) {
        expect(FailureRule::after($kind, 0)['next'])->toEndWith('.');
    }
    expect(FailureRule::after('format', 1)['next'])->toContain('twice')->and(FailureRule::after('format', 2)['next'])->toContain('three times');
});

it('knows what is newer of the same line only', function (array $shelf, bool $newer) {
    $stick = ['line' => 'Orrin Desktop 3', 'version' => '3.9', 'edition' => 'Counter', 'language' => 'all', 'architecture' => 'x86-64', 'channel' => 'stable'];
    expect(Staleness::isNewer([...$stick, ...$shelf], $stick))->toBe($newer);
})->with([
    [['version' => '3.10'], true], [['version' => '3.9'], false], [['version' => '3.8'], false], [['version' => ''], false], [['version' => '4.0', 'edition' => 'Dock'], false], [['version' => '4.0', 'language' => 'English'], false],
    [['version' => '4.0', 'channel' => 'preview'], false], [['version' => '4.0', 'architecture' => 'arm-64'], false], [['version' => '4.0', 'line' => 'Skerry'], false],
]);

it('never takes two images without a line, or without a version, for one', function () {
    expect(Staleness::isNewer(['version' => '2'], ['version' => '1']))->toBeFalse()->and(Staleness::isNewer(['line' => 'x', 'version' => '2'], ['line' => 'x']))->toBeFalse();
});

it('says of every condition what it is', function () {
    expect(array_map(fn ($c) => explode(':', $c->title())[0], StickCondition::cases()))->toBe(['nothing of ours on it', 'unfinished', 'good', 'stale', 'spoiled', 'retired']);
});
