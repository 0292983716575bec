<?php

use Symfony\Component\Yaml\Yaml;

beforeEach(function () {
    jobAtHand($this, 'lead');
    ($this->open)('fairlead-13');
});

it('takes in what comes from elsewhere, and keeps what it does not show', function () {
    $sum = str_repeat('AB', 32);
    $say = fn (array $data) => ($this->send)('intake', ['machine' => 'd 13', 'image' => 'tansy-7', ...$data]);
    $brief = fn (): array => Yaml::parse($this->job->refresh()->brief);
    $image = $brief()['image'];
    $extra = [
        'image' => $image, 'policy_extras' => 'recorded',
        'extra_what' => 'wave driver', 'extra_source' => 'a forum', 'extra_sha256' => $sum,
        'extra_reason' => 'no other', 'extra_undo' => 'Remove it.',
    ];
    $say([...$extra, 'extra_sha256' => 'abc'])->assertSessionHasErrors('extra_sha256');
    $say($extra)->assertSessionHasNoErrors();
    expect($brief()['extras'])->toBe([[
        'what' => 'wave driver', 'source' => 'a forum', 'sha256' => strtolower($sum), 'reason' => 'no other',
        'undo' => 'Remove it.',
    ]]);
    $this->get("/jobs/{$this->job->id}/intake")->assertSee('value="wave driver"', false);
    $this->get("/jobs/{$this->job->id}")->assertSee('Add wave driver');
    $say([...$extra, 'extra_what' => ''])->assertSessionHasNoErrors();
    expect($brief())->not->toHaveKey('extras');
    // Typed without a name it is no removal: nothing of it is let go unsaid.
    $say([...$extra, 'extra_what' => ''])->assertSessionHasErrors('extra_what');
});

it('opens what a refused field stands in, whichever it is', function (string $field, array $typed) {
    $more = ['image' => 'tansy-7', 'machine' => 'd 13', ...$typed];
    ($this->send)('intake', $more)->assertSessionHasErrors($field);
    $page = (string) $this->get("/jobs/{$this->job->id}/intake")->assertSee("wrong-{$field}", false)->getContent();
    expect($page)->toMatch('/<details class="more"\s+open\s*>\s*<summary>What is there already/');
})->with([
    'a checksum' => ['extra_sha256', ['extra_what' => 'wave driver', 'extra_sha256' => 'abc']],
    'a source' => ['extra_source', ['extra_source' => str_repeat('x', 400)]],
    'a reason' => ['extra_reason', ['extra_reason' => str_repeat('x', 400)]],
    'a date' => ['existing_date', ['existing_date' => 'soon']],
]);
