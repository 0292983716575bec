<?php

use App\Actions\DemoWorld;
use App\Models\Job;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

const PAGES = [
    '/',
    '/jobs',
    '/jobs/new',
    '/sticks',
    '/shelf',
    '/catalogue',
    '/catalogue/machines/norrel-fairlead-13',
    '/logbook',
    '/find?q=fair',
    '/policy',
    '/people',
    '/account',
    '/retention',
    '/bell',
    '{job}',
    '{job}?stone=target.erase',
    '{job}/run',
    '{job}/run?stone=target.erase',
    '{job}/log',
    '{job}/intake',
    '{job}/handover',
    '{job}/paper',
    '{job}/receipt',
    '/shift',
    '{hold}',
    '{job}/assessment',
    '{job}/memory',
    '{job}/backup',
    '{job}/acceptance',
    '{job}/photos',
    '/erasures',
    '/deletions',
    '/logbook/figures',
    '{job}/keys',
    '{job}/rehearsal',
    '{job}/settings',
    '{job}/ways-in',
    '{job}/drivers',
    '{job}/partitions',
    '{job}/answers',
    '{locked}/rehearsal',
    '{update}/settings',
    '{update}/rehearsal',
    '{repair}',
    '{repair}/assessment',
    '{swap}/assessment',
    '{repair}/run',
    '/learned',
    '/find?q=black+screen',
];

/** @return list<string> every page of the demo world */
function demoPages(): array
{
    app(DemoWorld::class)->load(static function (): void {
    });
    $job = static fn (string $title): string => '/jobs/'.Job::query()->where('title', 'like', $title)->min('id');

    return array_map(static fn (string $page): string => strtr($page, [
        '{job}' => $job('Capstan%'),
        '{locked}' => $job('%counter 3'),
        '{update}' => $job('%firmware'),
        '{hold}' => $job('Unknown laptop'),
        '{repair}' => $job('%after update'),
        '{swap}' => $job('%laptop 7'),
    ]), PAGES);
}

/** A job that stands at the copying of the owner's files. */
function jobAtItsBackup(object $test): Job
{
    $job = $test->jobFrom('fairlead-13', $test->people['lead']);
    while ($test->standsAt($job)->id !== 'protect.back-up') {
        $test->layHere($job);
    }

    return $job->refresh();
}

it('fits both widths, passes the accessibility rules in light and dark, and loads nothing from elsewhere', function () {
    $pages = demoPages();
    $this->signIn('lead');
    $faults = [];
    foreach ($pages as $page) {
        foreach ([[1280, 800, 'light'], [390, 844, 'dark']] as [$width, $height, $scheme]) {
            $this->resize($width, $height);
            // No colour is on its way from one to the other while it is looked at.
            $this->developer('Emulation.setEmulatedMedia', [
                'features' => [
                    ['name' => 'prefers-color-scheme', 'value' => $scheme],
                    ['name' => 'prefers-reduced-motion', 'value' => 'reduce'],
                ],
            ]);
            if ($scheme === 'light') {
                $this->visit($page);
            }
            array_push($faults, ...$this->faultsOf($page, $width, $scheme));
        }
    }
    $said = array_column($this->browser()->manage()->getLog('browser'), 'message');
    array_push($faults, ...array_filter($said, fn (string $line) => ! str_contains($line, 'favicon')));
    expect(array_values(array_unique($faults)))->toBe([]);
});

it('would find a picture that tells a person who does not see it nothing', function () {
    $this->visit('/login');
    expect($this->axe())->toBe([]);
    $this->browser()->executeScript(
        'document.querySelector("main, body").append(Object.assign(new Image(), {src: "/mark.svg"}))',
    );
    expect($this->axe())->toHaveCount(1)->and($this->axe()[0])->toContain('image-alt');
});

it('goes to a place by holding k, and shows keys with h', function () {
    $this->bench();
    $this->signIn('evening');
    $down = fn (string $key, string $type) => $this->browser()->executeScript(
        'document.dispatchEvent(new KeyboardEvent(arguments[1], {key: arguments[0], bubbles: true}))',
        [$key, $type],
    );
    $down('k', 'keydown');
    expect($this->browser()->findElement(WebDriverBy::id('kerb'))->getAttribute('class'))->toContain('letters');
    $down('s', 'keydown');
    $down('s', 'keyup');
    $this->see('in the register');
    expect($this->path())->toBe('/sticks');
    $down('k', 'keyup');
    $this->press('/');
    $this->until(fn (): bool => $this->path() === '/find');
    $this->visit('/');
    $this->press('h');
    expect($this->browser()->findElements(WebDriverBy::cssSelector('.key-flag')))->not->toBe([]);
    $this->press('h');
    expect($this->browser()->findElements(WebDriverBy::cssSelector('.key-flag')))->toBe([]);
});

it('swaps parts without a reload, and the back button returns', function () {
    $this->jobFrom('fairlead-13', $this->bench()['lead']);
    $this->signIn('lead');
    $this->browser()->executeScript('window.stayed = true');
    $this->browser()->findElement(WebDriverBy::cssSelector('[data-place=f]'))->click();
    $this->see('Driver packages');
    expect($this->browser()->executeScript('return window.stayed === true'))
        ->toBeTrue()
        ->and($this->path())
        ->toBe('/shelf')
        ->and($this->browser()->getTitle())
        ->toBe('Shelf · Cobblestone');
    $this->browser()->navigate()->back();
    $this->see('open job');
    expect($this->path())->toBe('/');
});

it('keeps what was typed when a form is refused, with the message beside the field', function () {
    $this->bench();
    $this->signIn('lead');
    $this->visit('/jobs/new');
    $this->press('fairlead', WebDriverKeys::ENTER);
    $this->see('fits Norrel Fairlead 13 and Norrel Fairlead 15 G');
    expect($this->browser()->findElement(WebDriverBy::id('machine'))->getAttribute('value'))->toBe('fairlead');
});

it('works as plain pages without any script', function () {
    $this->people = $this->bench();
    $this->signIn('lead');
    $job = jobAtItsBackup($this);
    $this->developer('Emulation.setScriptExecutionDisabled', ['value' => true]);
    $this->visit("/jobs/{$job->id}/run");
    $this->browser()->findElement(WebDriverBy::cssSelector('button.walk'))->click();
    $this->until(fn (): bool => ($job->refresh()->summary['away'] ?? []) !== []);
    $this->see('Lay out tools');
    expect($job->refresh()->summary['away'][0]['title'])
        ->toBe('Back up')
        ->and($this->browser()->findElement(WebDriverBy::cssSelector('.stone-card h1'))->getText())
        ->toBe('Lay out tools');
});

it('tells the second of two people what the first did', function () {
    $this->people = $this->bench();
    $this->signIn('lead');
    $job = jobAtItsBackup($this);
    $this->visit("/jobs/{$job->id}/run?stone=protect.back-up");
    $evening = App\Models\User::query()->where('login', 'evening')->firstOrFail();
    app(App\Actions\WalkStep::class)->handle($job->id, $evening, 'protect.back-up', 'walk', [], $job->last_entry);
    $this->press('p');
    $this->press('the drive clicks', WebDriverKeys::TAB, WebDriverKeys::ENTER);
    $this->see('Somebody was here before you');
    expect($this->text())->toContain('evening technician')->toContain('the drive clicks');
});
