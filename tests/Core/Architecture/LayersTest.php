<?php

use App\House\Imports;
use App\House\LayerPicture;
use App\House\Layers;
use Tests\Support\Demo;

/** @param  array<string, string>  $files  path below core => code */
function houseOf(array $files): Imports
{
    $root = sys_get_temp_dir().'/house-'.bin2hex(random_bytes(4));
    foreach ($files as $path => $code) {
        is_dir(dirname("{$root}/{$path}")) || mkdir(dirname("{$root}/{$path}"), recursive: true);
        file_put_contents("{$root}/{$path}", "<?php\n{$code}");
    }
    $imports = Imports::of($root);
    foreach (array_keys($files) as $path) {
        unlink("{$root}/{$path}");
    }

    return $imports;
}

it('uses only what lies below, and is no knot', function () {
    expect(Layers::faults(Imports::of(Demo::root().'/core')))->toBe([]);
});

it('names every part of the core once', function () {
    $named = array_merge(...Layers::CORE);
    expect(array_diff_assoc($named, array_unique($named)))
        ->toBe([])
        ->and(array_values(array_diff($named, Imports::of(Demo::root().'/core')->parts())))
        ->toBe([]);
});

it('spells out a knot, an import that goes up, and a part that stands nowhere', function () {
    $faults = Layers::faults(
        houseOf([
            'Machine/A.php' => 'use Cobblestone\\Boot\\B;',
            'Boot/B.php' => 'use Cobblestone\\Media\\C;',
            'Media/C.php' => 'return \\Cobblestone\\Machine\\A::class;',
            'Attic/D.php' => 'use Cobblestone\\Quantity\\Bytes;',
        ]),
    );
    expect($faults)->toBe([
        'core/Attic stands in no layer: say in Layers::CORE what it may use.',
        'core/Machine uses core/Boot, which is not below it: Machine/A.php.',
        'A knot: Boot → Media → Machine → Boot.',
    ]);
});

it('allows what goes down', function () {
    expect(
        Layers::faults(
            houseOf([
                'Job/A.php' => 'use Cobblestone\\Machine\\B;',
                'Machine/B.php' => 'use Cobblestone\\Quantity\\C;',
            ]),
        ),
    )->toBe([]);
});

it('has no part of the application that comes back to itself', function () {
    $app = Imports::of(Demo::root().'/app', Imports::APP);
    expect($app->parts())->toContain('Devices', 'Catalogue', 'Models')->and($app->cycle())->toBeNull();
});

it('is drawn as it is', function () {
    $drawn = LayerPicture::of(Imports::of(Demo::root().'/core'));
    expect(file_get_contents(Demo::root().'/docs/house.svg'))
        ->toBe($drawn, 'Draw it anew: php artisan cobblestone:house')
        ->and(simplexml_load_string($drawn))
        ->not->toBeFalse();
});

it('calls no two things by one name', function () {
    $homes = [];
    foreach (['core', 'app'] as $tree) {
        $found = new RecursiveDirectoryIterator(Demo::root()."/{$tree}", FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($found) as $file) {
            $homes[basename((string) $file, '.php')][] = substr((string) $file, strlen(Demo::root()) + 1);
        }
    }
    expect(count($homes))->toBeGreaterThan(1000)
        ->and(array_filter($homes, fn (array $of): bool => count($of) > 1))->toBe([]);
});
