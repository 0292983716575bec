<?php

use Cobblestone\Media\StickCode;

it('reads back from a label what it was printed with', function (array $content, string $mark) {
    $text = StickCode::text('gull-32', $content);
    $code = StickCode::read($text);
    expect($code->stick)->toBe('gull-32')
        ->and($code->mark)->toBe($mark)
        ->and($code->isOf(str_pad($mark, 64, 'ab12')))->toBe($mark !== '')
        ->and($code->isOf('ff'.str_repeat('0', 62)))->toBeFalse()
        ->and($code->isOf(null))->toBeFalse();
})->with([
    'a proven stick' => [
        ['title' => "Crew\ninstaller", 'label' => 'CREW', 'fingerprint' => str_repeat('ab12', 16)], 'ab12ab12ab12ab12',
    ],
    'one of which nothing is known' => [[], ''],
    'values of another kind' => [['title' => 7, 'fingerprint' => ['x']], ''],
]);

it('says every line in its order', function () {
    expect(StickCode::text('gull-32', [
        'title' => 'Crew installer', 'label' => 'CREW', 'image_sha256' => str_repeat('c', 64),
        'fingerprint' => str_repeat('d', 64), 'built_at' => '2026-11-30T03:00:00+00:00',
    ]))->toBe(implode("\n", [
        'COBBLESTONE STICK 1', 'gull-32', 'Crew installer', 'label CREW', 'image cccccccccccccccc',
        'mark dddddddddddddddd', '2026-11-30',
    ]));
});

it('takes no other text for a code', function (string $text) {
    expect(StickCode::read($text))->toBeNull();
})->with(['', 'gull-32', 'COBBLESTONE STICK 1', "COBBLESTONE STICK 2\ngull-32", "x\nCOBBLESTONE STICK 1\ngull-32"]);

it('reads a code whose lines a scanner ended in its own way', function () {
    expect(StickCode::read("  COBBLESTONE STICK 1\r\ngull-32\r\nmark 00ff\r\n")?->mark)->toBe('00ff');
});
