<?php

use Cobblestone\Quantity\SizeSeen;

// What a screen shows of a size, and which exact sizes it may stand for.

it('takes a size for what it may be in either family of units', function (string $text, int $bytes, bool $can) {
    expect(SizeSeen::parse($text)?->canBe($bytes))->toBe($can);
})->with([
    'tens of thousands, by a thousand' => ['64 GB', 64_000_000_000, true],
    'the same word, by 1024' => ['64 GB', 68_719_476_736, true],
    'half a digit below' => ['64 GB', 63_500_000_000, true],
    'more than half below' => ['64 GB', 63_499_999_999, false],
    'a whole digit above, cut off by the tool' => ['64 GB', 65_000_000_000, true],
    'more than that above' => ['64 GB', 65_000_000_001, false],
    'between the two readings' => ['64 GB', 66_500_000_000, false],
    'by 1024 alone' => ['64 GiB', 64_000_000_000, false],
    'by 1024' => ['64 GiB', 68_719_476_736, true],
    'with a share' => ['59.6 GiB', 64_023_257_088, true],
    'a share beside it' => ['59.4 GiB', 64_023_257_088, false],
    'a share has a smaller half' => ['1.5 kB', 1450, true],
    'below that' => ['1.5 kB', 1449, false],
    'above that, by 1024, to the byte that holds it' => ['1.5 kB', 1639, true],
    'one byte further' => ['1.5 kB', 1640, false],
    'one digit is rounded less than its half' => ['1 TB', 964_999_999_999, false],
    'one digit, the least' => ['1 TB', 965_000_000_000, true],
    'one digit, the most' => ['1 TB', 1_070_000_000_000, true],
    'one digit, more than the most, less than by 1024 can be' => ['1 TiB', 1_176_500_000_000, false],
    'bytes are exact' => ['512110190592', 512_110_190_592, true],
    'bytes, one off' => ['512110190592', 512_110_190_591, false],
    'bytes, one over' => ['512110190592', 512_110_190_593, false],
    'M' => ['500M', 524_288_000, true],
    'K' => ['4K', 4096, true],
    'T' => ['2 T', 2_000_398_934_016, true],
    'signs between' => ["1\u{a0}000_0 kB", 10_000_000, true],
    'a comma' => ['59,6 GiB', 64_023_257_088, true],
    'the unit in full' => ['17 bytes', 17, true],
    'a letter' => ['17b', 17, true],
    'blanks around' => ['  64 GB ', 64_000_000_000, true],
]);

it('is nothing where no size is written', function (string $text) {
    expect(SizeSeen::parse($text))->toBeNull();
})->with([
    '', 'large', '64 QB', '-64 GB', '1.5', '1.5 b', '64 iB', '64 GB and more', 'about 64 GB', '1.2.3 GB',
    str_repeat('9', 21), '1.1234567 GB',
]);

it('keeps what was written', function () {
    expect(SizeSeen::parse(' 64 gb')?->text)->toBe(' 64 gb');
});

it('is near where one of its readings is within a share', function (string $text, int $bytes, bool $near) {
    expect(SizeSeen::parse($text)?->isNear($bytes, 0.1))->toBe($near);
})->with([
    'the same' => ['1000', 1000, true],
    'a tenth below, exactly' => ['900', 1000, true],
    'more than a tenth below' => ['899', 1000, false],
    'a tenth above, exactly' => ['1100', 1000, true],
    'more than a tenth above' => ['1101', 1000, false],
    'by the larger reading' => ['512 GB', 549_755_813_888, true],
    'by none' => ['256 GB', 549_755_813_888, false],
]);

it('is clearly less only where every reading is', function (string $text, int $bytes, bool $less) {
    expect(SizeSeen::parse($text)?->isClearlyLess($bytes))->toBe($less);
})->with([
    'a hundredth is not clear' => ['990', 1000, false],
    'more than a hundredth is' => ['989', 1000, true],
    'more is not' => ['2000', 1000, false],
    'one reading is large enough' => ['500 GB', 512_110_190_592, false],
    'neither is' => ['400 GB', 512_110_190_592, true],
]);

it('takes the share that is asked for', function () {
    $seen = SizeSeen::parse('500');
    expect($seen?->isClearlyLess(1000, 0.5))->toBeFalse()->and($seen?->isClearlyLess(1001, 0.5))->toBeTrue();
});
