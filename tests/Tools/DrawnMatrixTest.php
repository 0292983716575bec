<?php

use App\Bridge\StickRehearsal;
use App\Catalogue\CatalogueFolder;
use App\Devices\Emulated\EmulatedMachine;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Emulated\StartJudge;
use Cobblestone\Boot\Emulated\StartSeen;
use Cobblestone\Boot\StickStart;
use Illuminate\Support\Facades\File;
use Tests\Support\DebianMedia;
use Tests\Support\DrawnSticks;
use Tests\Support\Emulator;

/** Seeds of the sticks that are held against emulated firmware; any others may be drawn by hand. */
const SEEDS = [2000, 2059];

beforeEach(function () {
    $this->folder = sys_get_temp_dir().'/cobble-drawn-'.bin2hex(random_bytes(5));
    File::makeDirectory($this->folder, 0o700);
    $this->predicted = function (string $image, EmulatedFirmware $firmware): array {
        $rehearsal = new StickRehearsal(CatalogueFolder::read(base_path('catalogue'))->catalogue());
        $keys = $firmware === EmulatedFirmware::UefiSecure ? [EmulatedMachine::TEST_KEYS] : [];

        return StickStart::toArray($rehearsal->predict($image, null, $firmware->value, $keys, []))['possible'];
    };
    // What a stick is known to print is told, so that a loader which waits is not taken for one that gave up.
    $this->seen = function (string $image, EmulatedFirmware $firmware, array $says): StartSeen {
        File::makeDirectory($at = "{$this->folder}/at-".bin2hex(random_bytes(4)), 0o700);

        return (new EmulatedMachine($at, $firmware))->start($image, new StartJudge($firmware, $says), 200)->outcome;
    };
});
afterEach(fn () => File::deleteDirectory($this->folder));

/** A cell holds where what is seen was predicted, or cannot be told; asked again where it does not at once. */
function holds(object $test, string $image, EmulatedFirmware $firmware, string $what, array $says): void
{
    $predicted = ($test->predicted)($image, $firmware);
    $seen = [];
    for ($i = 0; $i < 2 && array_intersect([...$predicted, 'cannot-tell'], $seen) === []; $i++) {
        $seen[] = ($test->seen)($image, $firmware, $says)->value;
    }
    $words = "{$what}, {$firmware->value}: predicted ".implode(' or ', $predicted).', seen '.implode(', ', $seen);
    expect(array_intersect([...$predicted, 'cannot-tell'], $seen))->not->toBe([], $words);
}

it('agrees with emulated firmware on sticks that a seed has drawn', function (int $seed, EmulatedFirmware $firmware) {
    $image = (new DrawnSticks($this->folder))->make($seed);
    holds($this, $image, $firmware, DrawnSticks::words($seed), [Emulator::MARK]);
})->group('matrix')->with(range(...SEEDS))->with(EmulatedFirmware::cases());

it('agrees on a few of them', function (int $seed, EmulatedFirmware $firmware) {
    $image = (new DrawnSticks($this->folder))->make($seed);
    holds($this, $image, $firmware, DrawnSticks::words($seed), [Emulator::MARK]);
})->group('slow')->with([
    'no mark in the file system' => [1033, EmulatedFirmware::UefiSecure],
    'code that never ends' => [1033, EmulatedFirmware::Bios],
]);

it('agrees on media that nobody here made', function (string $name, EmulatedFirmware $firmware) {
    holds($this, (new DebianMedia($this->folder))->make($name), $firmware, $name, DebianMedia::SAY);
})
    ->group('matrix')
    ->with(DebianMedia::NAMES)
    ->with(EmulatedFirmware::cases())
    ->skip(fn (): bool => ! is_dir(DebianMedia::root()), 'bin/test --all unpacks the packages that hold them');

it('leaves the end open in no more than a twentieth of all cells', function () {
    $open = $all = 0;
    $sticks = new DrawnSticks($this->folder);
    foreach (range(...SEEDS) as $seed) {
        $image = $sticks->make($seed);
        foreach (EmulatedFirmware::cases() as $firmware) {
            $open += count(($this->predicted)($image, $firmware)) > 1 ? 1 : 0;
            $all++;
        }
        unlink($image);
    }
    expect($open / $all)->toBeLessThanOrEqual(0.05, "{$open} of {$all}");
})->group('matrix');
