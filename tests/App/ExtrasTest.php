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
