<?php

use Cobblestone\Brief\BriefFault;
use Cobblestone\Policy\Policy;

it('takes a text of the bench beside its schools', function () {
    $policy = Policy::of(['region' => ' Skerry ', 'name_pattern' => 'S{slot}-{n}', 'scheme' => 'widest']);
    expect($policy->text('region'))->toBe('Skerry')
        ->and($policy->text('name_pattern'))->toBe('S{slot}-{n}')
        ->and($policy->text('keyboard'))->toBe('Quillport harbour layout')
        ->and($policy->school('scheme'))->toBe('widest')
        ->and($policy->chosen())->toHaveKeys(['region', 'scheme'])
        ->and(Policy::of($policy->chosen())->toArray())->toBe($policy->toArray())
        ->and(Policy::title('name_pattern'))->toBe('Computer name');
});

it('refuses a text that cannot be one', function (string $name, mixed $text) {
    expect(fn () => Policy::of([$name => $text]))->toThrow(BriefFault::class, "policy.{$name}");
})->with([
    ['region', ''], ['region', str_repeat('x', 61)], ['region', "a\nb"], ['region', 'a<b'], ['region', '{x}'],
    ['region', 7], ['keyboard', "\u{202e}x"], ['name_pattern', 'QF'], ['name_pattern', '{n}{n}'],
    ['name_pattern', 'QF_{n}'], ['name_pattern', 'a b{n}'],
]);

it('says what it wants instead', function (string $name, string $text, string $says) {
    expect(fn () => Policy::of([$name => $text]))->toThrow(BriefFault::class, "policy.{$name}: {$says}");
})->with([
    ['region', '', 'write it in one line of at most 60 signs, without brackets.'],
    ['name_pattern', 'QF', 'letters, digits, hyphens and {n} once; {slot} if you like.'],
]);

it('takes sixty signs, and letters of any language', function () {
    expect(Policy::of(['region' => str_repeat('ä', 60)])->text('region'))->toBe(str_repeat('ä', 60));
});
