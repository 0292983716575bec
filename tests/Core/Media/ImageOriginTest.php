<?php

use Cobblestone\Media\ImageFit;
use Cobblestone\Media\ShelfImage;
use Cobblestone\Media\WantedStick;
use Cobblestone\Media\WriteMode;

it('takes no image of another origin than the path goes by', function (
    ?string $wants,
    ?string $is,
    string $says,
) {
    $fit = ImageFit::of(
        new WantedStick('an image', 'a.img', WriteMode::Raw, system: 'Skerry Rolling', origin: $wants),
        ShelfImage::told('b.img', ['line' => 'Skerry Rolling', 'origin' => $is]),
    );
    expect(implode(' ', $fit->against))->toBe($says);
})->with([
    [null, null, ''],
    ['modified', 'modified', ''],
    [null, 'somebody wrote this before', ''],
    [null, 'modified', 'it is the publisher\'s, changed by somebody, and the path goes by the publisher\'s'],
    ['third-party', null, 'it is the publisher\'s, and the path goes by one that is put together by a third party'],
    [
        'third-party', 'modified',
        'it is the publisher\'s, changed by somebody, and the path goes by one that is put together by a third party',
    ],
]);
