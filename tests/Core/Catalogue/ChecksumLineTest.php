<?php

use Cobblestone\Catalogue\Image;
use Tests\Support\Demo;

it('tells a publisher who gives none from nobody having looked', function (array $with, string $says) {
    $image = array_values(Demo::catalogue()->images())[0]->toArray();
    expect(Image::fromArray([...$image, ...$with])->checksumLine())->toStartWith($says);
})->with([
    [['sha256' => str_repeat('ab', 32)], 'It must print `'],
    [['sha256' => null, 'as_of' => null, 'no_checksum' => true], 'The publisher gives no checksum'],
    [['sha256' => null, 'as_of' => null, 'no_checksum' => false], 'Nobody has said which checksum'],
]);
