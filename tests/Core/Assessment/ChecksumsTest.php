<?php

use Tests\Support\Demo;

it('names a command for checksums only where the system that runs has it', function (
    string $brief,
    array $facts,
    string $line,
) {
    $plan = Demo::plan($brief, ['machine' => [...Demo::brief($brief)['machine'], 'facts' => [
        ...Demo::brief($brief)['machine']['facts'] ?? [], ...$facts,
    ]]]);
    expect($plan->step('protect.back-up')?->instructions)->toContain($line);
})->with(function () {
    $open = 'Make checksums of the originals: `find FOLDER -type f -exec sha256sum {} + > SHA256SUMS`.';
    $own = 'Make checksums of the originals: `quaysum /sha256 /list SHA256SUMS FOLDER`.';
    $any = 'Make SHA-256 checksums of the originals into `SHA256SUMS`, by what the old system brings for it; where it '
        .'brings nothing, from a live system.';

    return [
        'nobody said which' => ['fairlead-13', [], $any],
        'the commercial one, by its name' => ['fairlead-13', ['present.system' => 'Tansy Desktop 6'], $own],
        'the commercial one, by its entry' => ['fairlead-13', ['present.system' => 'tansy-desktop-7'], $own],
        'an open one' => ['fairlead-13', ['present.system' => 'Skerry Rolling'], $open],
        'one that brings nothing' => ['fairlead-13', ['present.system' => 'Corvane Play 2'], $any],
        'one that the catalogue does not hold' => ['fairlead-13', ['present.system' => 'Heron 4'], $any],
        'it does not start: a live system' => [
            'fairlead-13', ['present.system' => 'Tansy Desktop 6', 'old_system.starts' => 'no'], $open,
        ],
    ];
});
