<?php

use App\Models\BootObservation;
use App\Models\FirmwareSnapshot;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

it('tells in two clicks that a start went otherwise, by keyboard, and plans again', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->signIn('evening');
    $this->visit("/jobs/{$job->id}");
    $this->press('e');
    $this->see('All 6 come through');
    expect($this->browser()->findElements(WebDriverBy::cssSelector('.stones-over .missing')))
        ->toBe([])
        ->and(count($this->browser()->findElements(WebDriverBy::cssSelector('.stones-over .bank.reached'))))
        ->toBe(5);
    // First: open. Second: what happened.
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('.crossing .otherwise summary'))
        ->sendKeys(WebDriverKeys::ENTER);
    $this->see('This model does that');
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('.crossing .otherwise li:nth-child(2) button[value=model]'))
        ->sendKeys(WebDriverKeys::ENTER);
    $this->see('seen on this model once');
    expect(BootObservation::query()->firstOrFail()->seen)
        ->toBe('no-bootable-device')
        ->and($this->text())
        ->toContain('Prediction against reality')
        ->toContain('1 of 6 would not end');
    expect(count($this->browser()->findElements(WebDriverBy::cssSelector('.stones-over .bank.reached'))))->toBe(4);
    // Reload and back keep their ground.
    $this->browser()->navigate()->refresh();
    $this->see('seen on this model once');
    $this->visit('/logbook');
    $this->see('0 of 1');
});

it('counts a way in with the hands', function () {
    $people = $this->bench();
    $job = $this->jobFrom('pocket-lantern', $people['lead']);
    $this->signIn('evening');
    $this->visit("/jobs/{$job->id}/ways-in");
    $this->see('One-time menu');
    // What the metronome says passes by in a second: everything it says and where its line was is kept.
    $this->browser()->executeScript(<<<'JS'
    const presses = document.querySelector('.presses'), kept = (window.counted = []);
    new MutationObserver(() => kept.push([
        presses.querySelector('.count')?.textContent ?? '',
        presses.querySelector('.beat')?.getAttribute('transform') ?? '',
    ])).observe(presses, {subtree: true, childList: true, characterData: true, attributes: true});
    JS);
    $button = $this->browser()->findElement(WebDriverBy::cssSelector('[data-beat]'));
    $button->sendKeys(WebDriverKeys::ENTER);
    $counted = fn (string $words): array => array_values(array_filter(
        (array) $this->browser()->executeScript('return window.counted'),
        static fn (array $kept): bool => str_contains($kept[0], $words),
    ));
    // A hold is one long stone, and the line is over it while the words say to hold.
    $this->until(fn (): bool => $counted('Let go of volume up') !== []);
    expect($counted('Hands ready: 3'))->not->toBe([])
        ->and($counted('Press power once'))->not->toBe([])
        ->and($counted('Press power once')[0][1])->not->toBe($counted('Hold volume up')[0][1]);
    $button->sendKeys(WebDriverKeys::ENTER);
    expect($button->getText())
        ->toBe('Count with me')
        ->and($this->browser()->findElement(WebDriverBy::cssSelector('.presses .beat'))->getAttribute('visibility'))
        ->toBe('hidden');
});

it('records settings by keyboard and shows what the path makes of them', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->signIn('evening');
    $this->visit("/jobs/{$job->id}");
    $this->press('f');
    $this->see('What changes, in this order');
    expect($this->text())->toContain('off (assumed: look)');
    $this->browser()->findElement(WebDriverBy::name('settings[secure_boot]'))->sendKeys('on');
    $this->browser()
        ->findElement(WebDriverBy::name('settings[older_devices]'))
        ->sendKeys('allowed', WebDriverKeys::TAB);
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('form[action$="/settings"] .btn.go'))
        ->sendKeys(WebDriverKeys::ENTER);
    $this->see('Recorded. The path is computed from it.');
    expect(FirmwareSnapshot::query()->firstOrFail()->settings)
        ->toEqual(['older_devices' => 'allowed', 'secure_boot' => 'on'])
        ->and($this->text())
        ->toContain('it is set, not in force');
    // A word that is none keeps what was typed.
    $this->browser()->findElement(WebDriverBy::id('pasted'))->sendKeys('Fan speed: quick');
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('form[action$="/settings"] .btn.go'))
        ->sendKeys(WebDriverKeys::ENTER);
    $this->see('this model has no setting');
    expect($this->browser()->findElement(WebDriverBy::id('pasted'))->getAttribute('value'))->toBe('Fan speed: quick');
});
