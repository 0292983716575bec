<?php

use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\PlanFields;
use Cobblestone\Media\Build\Script\GuardedScript;
use Cobblestone\Media\Build\Script\ShellText;
use Cobblestone\Media\Build\StickPlan;
use Tests\Support\Demo;
use Tests\Support\StickPlans;

it('writes the same script and plan as before', function (string $name) {
    $plan = goldenSticks()[$name];
    $folder = Demo::root().'/tests/fixtures/sticks';
    $json = json_encode($plan->toArray(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
    if (getenv('UPDATE_GOLDEN') === '1') {
        file_put_contents("{$folder}/{$name}.sh", GuardedScript::of($plan));
        file_put_contents("{$folder}/{$name}.json", $json);
    }
    expect(GuardedScript::of($plan))
        ->toBe(file_get_contents("{$folder}/{$name}.sh"))
        ->and($json)
        ->toBe(file_get_contents("{$folder}/{$name}.json"))
        ->and(StickPlan::fromArray(json_decode($json, true))->toArray())
        ->toEqual($plan->toArray());
})->with([
    'copied-gpt',
    'copied-mbr-storage-drivers',
    'copied-split',
    'copied-own-splitter',
    'copied-4096',
    'raw',
    'raw-small',
    'raw-xz',
    'raw-gzip',
    'raw-bzip2',
    'raw-zstd',
    'raw-zip',
]);

it('quotes words so that a shell takes them for nothing else', function () {
    expect(ShellText::quoted("it's"))
        ->toBe("'it'\\''s'")
        ->and(ShellText::quoted(7))
        ->toBe("'7'")
        ->and(ShellText::quoted(''))
        ->toBe("''")
        ->and(ShellText::command(['mkfs.vfat', '-n', 'ORRIN 3', '$(x)', '/dev/a-b_c=1:2+3@4']))
        ->toBe("mkfs.vfat -n 'ORRIN 3' '$(x)' /dev/a-b_c=1:2+3@4")
        ->and(ShellText::comment("a\nrm -rf /\x7F\t"))
        ->toBe('a⟨U+000A⟩rm -rf /⟨U+007F⟩⟨U+0009⟩')
        ->and(ShellText::written(["it's", 'END'], '"$f"'))
        ->toBe(['{', "    printf '%s\\n' 'it'\\''s'", "    printf '%s\\n' 'END'", '} >"$f"']);
});

it('refuses fields of a document by name', function (Closure $read, string $says) {
    expect($read)->toThrow(PlanFault::class, $says);
})->with([
    [fn () => PlanFields::whole([], 'a.b'), 'a.b: a whole number is needed.'],
    [fn () => PlanFields::whole(['b' => -1], 'a.b'), 'a.b'],
    [fn () => PlanFields::whole(['b' => '5'], 'a.b'), 'a.b'],
    [fn () => PlanFields::whole(['b' => 1 << 50], 'a.b'), 'a.b'],
    [fn () => PlanFields::whole(['b' => 1.5], 'b'), 'b:'],
    [fn () => PlanFields::text(['t' => 5], 't'), 't: a line of text is needed.'],
    [fn () => PlanFields::text(['t' => "a\nb"], 't'), 't:'],
    [fn () => PlanFields::text(['t' => "a\x7F"], 't'), 't:'],
    [fn () => PlanFields::text(['t' => str_repeat('x', 501)], 't'), 't:'],
    [fn () => PlanFields::text(['t' => 'abc'], 't', 2), 't:'],
    [fn () => PlanFields::name(['n' => 'a/b'], 'n'), 'n: a file\'s name without folders is needed.'],
    [fn () => PlanFields::name(['n' => ''], 'n'), 'n:'],
    [fn () => PlanFields::name(['n' => '..'], 'n'), 'n:'],
    [fn () => PlanFields::name(['n' => '.'], 'n'), 'n:'],
    [fn () => PlanFields::name(['n' => str_repeat('x', 256)], 'n'), 'n:'],
    [fn () => PlanFields::path(['p' => '/a'], 'p'), 'p: "/a" is no path below the top of a stick.'],
    [fn () => PlanFields::path(['p' => 'a/../b'], 'p'), 'p:'],
    [fn () => PlanFields::path(['p' => 'a/.'], 'p'), 'p:'],
    [fn () => PlanFields::path(['p' => 'a//b'], 'p'), 'p:'],
    [fn () => PlanFields::path(['p' => ''], 'p'), 'p:'],
    [fn () => PlanFields::maybeHash(['h' => str_repeat('A', 64)], 'h'), 'h: a SHA-256'],
    [fn () => PlanFields::maybeHash(['h' => str_repeat('a', 63)], 'h'), 'h:'],
    [fn () => PlanFields::maybeHash(['h' => 5], 'h'), 'h:'],
    [fn () => PlanFields::oneOf(['o' => 'c'], 'o', ['a', 'b']), 'o: one of a, b is needed.'],
    [fn () => PlanFields::oneOf([], 'o', ['a']), 'o:'],
    [fn () => PlanFields::oneOf(['o' => 1], 'o', ['1']), 'o:'],
    [fn () => PlanFields::rows([], 'r'), 'r: a list is needed.'],
    [fn () => PlanFields::rows(['r' => ['x' => []]], 'r'), 'r:'],
    [fn () => PlanFields::rows(['r' => [1]], 'r'), 'r:'],
]);

it('takes fields that are right', function () {
    expect(PlanFields::whole(['b' => 0], 'a.b'))
        ->toBe(0)
        ->and(PlanFields::whole(['b' => (1 << 50) - 1], 'b'))
        ->toBe((1 << 50) - 1)
        ->and(PlanFields::maybeWhole([], 'b'))
        ->toBeNull()
        ->and(PlanFields::maybeWhole(['b' => 3], 'x.b'))
        ->toBe(3)
        ->and(PlanFields::text(['t' => str_repeat('ü', 500)], 't'))
        ->toHaveLength(500)
        ->and(PlanFields::text(['t' => ''], 't'))
        ->toBe('')
        ->and(PlanFields::name(['n' => str_repeat('x', 255)], 'n'))
        ->toHaveLength(255)
        ->and(PlanFields::path(['p' => 'a/b c/…'], 'p'))
        ->toBe('a/b c/…')
        ->and(PlanFields::maybeHash([], 'h'))
        ->toBeNull()
        ->and(PlanFields::maybeHash(['h' => str_repeat('0a', 32)], 'h'))
        ->toBe(str_repeat('0a', 32))
        ->and(PlanFields::oneOf([], 'o', ['a'], true))
        ->toBeNull()
        ->and(PlanFields::oneOf(['o' => 'a'], 'o', ['a']))
        ->toBe('a')
        ->and(PlanFields::rows(['r' => [['a' => 1]]], 'r'))
        ->toBe([['a' => 1]]);
});

it('refuses plans that contradict themselves', function (Closure $change, string $says) {
    expect(fn () => StickPlan::fromArray($change(StickPlans::plan()->toArray())))->toThrow(PlanFault::class, $says);
})->with([
    [fn ($d) => [...$d, 'cobblestone_stick_plan' => 2], 'no stick plan of version 1'],
    [fn ($d) => array_diff_key($d, ['cobblestone_stick_plan' => 1]), 'no stick plan'],
    [fn ($d) => [...$d, 'image' => 'x'], 'image: the image is missing.'],
    [fn ($d) => [...$d, 'mode' => 'x'], 'mode: one of raw, files-copied is needed.'],
    [fn ($d) => [...$d, 'layout' => null], 'there is none'],
    [fn ($d) => [...$d, 'layout' => [...$d['layout'], 'scheme' => 'x']], 'layout:'],
    [fn ($d) => [...$d, 'layout' => [...$d['layout'], 'partitions' => []]], 'layout:'],
    [
        fn ($d) => [
            ...$d,
            'layout' => [
                ...$d['layout'],
                'partitions' => [
                    [...$d['layout']['partitions'][0], 'file_system' => 'exfat', 'fat32' => null, 'type_code' => 'x'],
                ],
            ],
        ],
        'layout:',
    ],
    [fn ($d) => [...$d, 'layout' => [...$d['layout'], 'disk_guid' => 'x']], 'layout: This is no layout'],
    [fn ($d) => [...$d, 'layout' => [...$d['layout'], 'device_bytes' => -5]], 'layout:'],
    [fn ($d) => [...$d, 'layout' => [...$d['layout'], 'partitions' => ['x']]], 'layout:'],
    [fn ($d) => [...$d, 'device_bytes' => 4096], 'another size'],
    [fn ($d) => [...$d, 'sector_bytes' => 4096], 'another size'],
    [fn ($d) => [...$d, 'image' => [...$d['image'], 'tree' => null]], 'image.tree'],
    [fn ($d) => [...$d, 'label' => 'TWELVE CHARS'], 'label:'],
    [fn ($d) => [...$d, 'title' => str_repeat('x', 121)], 'title:'],
    [fn ($d) => [...$d, 'serial' => 5], 'serial:'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'from' => 'x']]], 'files[0].from'],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'of' => 1]]], 'files[0]: the part reaches past the end'],
    [
        fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'bytes' => 4_294_967_296, 'of' => 4_294_967_296]]],
        'more than a FAT32 file can hold',
    ],
    [fn ($d) => [...$d, 'files' => [[...$d['files'][0], 'path' => 'a?']]], 'FAT cannot take these names'],
    [fn ($d) => [...$d, 'splitter' => 'x'], 'splitter:'],
    [
        fn ($d) => [...$d, 'mode' => 'raw', 'image' => [...$d['image'], 'expanded_bytes' => $d['device_bytes'] + 1]],
        'Take a larger stick.',
    ],
]);

it('refuses names that no tool should be handed, wherever they stand in a plan', function (string $name) {
    expect(fn () => StickPlans::plan(files: ['EFI/BOOT/BOOTX64.EFI' => 3152, $name => 12]))->toThrow(PlanFault::class);
})->with(['line end' => ["a\nrm -rf"], 'tab' => ["a\tb"], 'delete' => ["a\x7Fb"], 'escape' => ["\x1B[2J"]]);
