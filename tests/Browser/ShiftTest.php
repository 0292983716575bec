<?php

use App\Models\BenchEvent;
use App\Models\LogRecord;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

beforeEach(function () {
    $this->people = $this->bench();
});

it('says what ended a problem, hands the shift over, and takes it into the index', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->signIn('evening');
    $this->visit("/jobs/{$job->id}/run");
    $this->press('p');
    $this->see('What is seen, in a few words');
    $this->browser()->findElement(WebDriverBy::id('problem-text'))->sendKeys('Lid squeaks');
    // A font that comes late moves the button: it is brought above the kerb as by who scrolls to it.
    $says = '#problem form.words button, #problem form button.stop';
    $this->browser()->executeScript("document.querySelector('{$says}').scrollIntoView({block: 'nearest'})");
    $this->browser()->findElement(WebDriverBy::cssSelector($says))->click();
    $this->see('What it was, what helped');
    $this->browser()->findElement(WebDriverBy::cssSelector('form.ended summary'))->click();
    $this->browser()->findElement(WebDriverBy::id('fix'))->sendKeys('Tighten it.'.WebDriverKeys::ENTER);
    // What was typed is kept, and what is missing is said beside it.
    $this->see('Say what it was too');
    expect($this->browser()->findElement(WebDriverBy::id('fix'))->getAttribute('value'))->toBe('Tighten it.');
    $this->browser()->findElement(WebDriverBy::id('cause'))->sendKeys('A screw is loose.'.WebDriverKeys::ENTER);
    $this->see('try 2');
    expect(LogRecord::query()->where('kind', 'retry')->sole()->data)
        ->toMatchArray(['cause' => 'A screw is loose.', 'fix' => 'Tighten it.']);
    $this->visit('/');
    $this->press('t');
    $this->see('it was: A screw is loose.; what helped: Tighten it.');
    expect($this->axe())->toBe([]);
    $this->browser()->findElement(WebDriverBy::id('words'))->sendKeys('mind the lid');
    $this->browser()->findElement(WebDriverBy::cssSelector('form[action="/shift"] button'))->click();
    $this->see('mind the lid');
    $note = BenchEvent::query()->where('kind', 'shift-note')->sole();
    expect($this->path())->toBe("/shift/{$note->id}");
    $paper = $this->printed();
    expect($paper['pages'])->toBe(1)->and($paper['text'])->toContain('mind the lid')->not->toContain('Print');
});

it('shows at intake that a machine was here before, while its serial is typed', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $job->forceFill(['machine_serial' => 'NF13-1'])->save();
    $this->signIn('lead');
    $this->visit('/jobs/new');
    $this->browser()->findElement(WebDriverBy::id('facts-machine-serial'))->sendKeys('nf13-1'.WebDriverKeys::TAB);
    $this->see('Seen here before: once.');
    // What comes in beside the form takes the focus from nobody: whoever goes on typing types where they were.
    usleep(300_000);
    $at = fn (): string => (string) $this->browser()->executeScript('return document.activeElement.id');
    expect($at())->not->toBe('machine')->not->toBe('');
    expect($this->axe())->toBe([]);
    $this->browser()->findElement(WebDriverBy::linkText('begin with this machine'))->click();
    $this->see('are read anew');
    expect($this->browser()->findElement(WebDriverBy::id('machine'))->getAttribute('value'))
        ->toBe('norrel-fairlead-13');
});
