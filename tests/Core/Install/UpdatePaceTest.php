<?php

use Cobblestone\Brief\BriefFault;
use Cobblestone\Install\UpdatePace;
use Cobblestone\Policy\Policy;
use Tests\Support\Demo;

// The first updates take their bytes × 8 over the line, and the restarts (rule I5). Tansy Desktop 7 loads 3.4 GB and
// restarts once; a restart is 45 s.

it('takes the bytes over the bench\'s line, and the restarts', function (
    string $line,
    array $seconds,
    string $because,
) {
    $pace = new UpdatePace(Demo::catalogue()->system('tansy-desktop-7'), Policy::of(['line_mbit' => $line]));
    $time = $pace->estimate();
    expect([$time->low->seconds, $time->likely->seconds, $time->high->seconds])->toBe($seconds)
        ->and($pace->because()->text)->toBe($because);
})->with([
    ['50', [471, 589, 884], 'About 3.4 GB over the bench\'s line of 50 Mbit/s, and 1 × 45 s of restarts.'],
    ['16', [1396, 1745, 2618], 'About 3.4 GB over the bench\'s line of 16 Mbit/s, and 1 × 45 s of restarts.'],
    ['1000', [58, 73, 110], 'About 3.4 GB over the bench\'s line of 1000 Mbit/s, and 1 × 45 s of restarts.'],
]);

it('leaves the catalogue\'s minutes where nobody has said how large they are', function () {
    $pace = new UpdatePace(Demo::catalogue()->system('tansy-desktop-6'), Policy::of());
    expect($pace->estimate()->likely->inMinutes())->toBe(25.0)->and($pace->because()->text)
        ->toBe('10 min to 1 h 10 by the catalogue; how much they load, it does not say.');
});

it('says on the path what sets the time', function (string $brief) {
    $step = Demo::plan($brief)->step('updates.system');
    expect(implode(' ', array_column($step->because ?? [], 'text')))->toContain('over the bench\'s line of 50 Mbit/s')
        ->and($step?->time->likely->seconds)->toBe(589);
})->with(['fairlead-13', 'upgrade']);

it('takes a line in whole megabits', function (string $line) {
    expect(fn () => Policy::of(['line_mbit' => $line]))->toThrow(
        BriefFault::class,
        'policy.line_mbit: a whole number of megabits a second, from 1 to 99999.',
    );
})->with(['0', '-5', '1.5', 'fast', '100000', '05']);
