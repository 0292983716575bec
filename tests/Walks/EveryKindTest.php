<?php

use App\Models\Job;
use App\Models\LogRecord;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Yaml\Yaml;

const ANSWERS_OF = [
    'repair' => ['recovery.environment' => 'yes', 'symptom.starts' => 'recovery'],
];

/** Opens a job of that brief with what else it has to be told. */
function jobOfKind(object $test, string $brief): Job
{
    $people = $test->bench();
    $given = Yaml::parseFile(base_path("docs/guide/briefs/{$brief}.yaml"));
    $given['machine']['facts'] = [...$given['machine']['facts'] ?? [], ...ANSWERS_OF[$brief] ?? []];
    $test->signIn('lead');

    return app(App\Actions\OpenJob::class)->handle($people['lead'], $given)->refresh();
}

it('walks each kind of job to the sheet', function (string $brief, array $on, array $off) {
    $job = jobOfKind($this, $brief);
    for ($laid = 0; $laid < 60 && $job->refresh()->isOpen(); $laid++) {
        $this->layPlain($job);
        $job->refresh()->isOpen() && $this->layHere(
            $job,
            ['condition' => 'one scratch', 'accessories' => 'charger, bag'],
        );
    }
    expect($job->refresh()->status)->toBe('handed-over');
    $this->visit("/jobs/{$job->id}/handover");
    $this->see('Handover sheet');
    foreach ($on as $text) {
        expect($this->text())->toContain($text);
    }
    foreach ([...$off, 'Draft', 'yet'] as $text) {
        expect($this->text())->not->toContain($text);
    }
    // On paper: two pages at most, the frame of the screen left out.
    $sheet = $this->printed();
    expect($sheet['pages'])->toBeGreaterThan(0)->toBeLessThanOrEqual(2)
        ->and($sheet['text'])->toContain('Handover sheet')->toContain($on[0])->toContain('received by')
        ->not->toContain('Logbook')->not->toContain('Back to the job');
    $this->visit("/jobs/{$job->id}/receipt");
    $receipt = $this->printed();
    expect($receipt['pages'])->toBe(1)->and($receipt['text'])->not->toContain('Logbook');
    $words = $brief === 'stick-for-any'
        ? ['This job takes no machine in.']
        : ['one scratch', 'charger, bag', 'Given back'];
    foreach ($words as $text) {
        expect($receipt['text'])->toContain($text);
    }
})->with([
    'clean install' => [
        'pocket-lantern',
        ['It now carries Corvane Play 2', 'Erased: Pebble M2', 'All of it goes back'],
        ['charged by', 'copied'],
    ],
    'sealed, from a stick' => [
        'sealed-stick',
        ['It now carries Halden One 26', 'was laid out anew', 'The lock reads: off'],
        ['were copied', 'charged by'],
    ],
    'stick only' => [
        'stick-for-any',
        ['A stick, Harbour 16', 'The stick was read back, and is equal'],
        ['Your files', 'password', 'Erased'],
    ],
    'new build' => ['new-capstan', ['It is a new build', 'started for the first time'], ['Your files', 'battery']],
    'drive swap' => ['drive-swap', ['on a new drive', 'kept as it was', 'rescued from the failing drive'], []],
    'factory image' => [
        'factory-restore',
        ['as its maker delivered it', 'Everything since purchase was removed'],
        ['were copied'],
    ],
    'firmware' => [
        'firmware-update',
        ['Version 1.08 → 1.14', 'Version 1.14 → 1.16', 'protection was resumed'],
        ['Erased', 'password'],
    ],
    'repair' => [
        'repair',
        ['here to be repaired in place', 'The fault was looked for twice'],
        ['Erased', 'password'],
    ],
    'cable restore' => ['cable-restore', ['restored over a cable', 'Everything on it was erased'], ['were copied']],
    'upgrade' => ['upgrade', ['upgraded to Tansy Desktop 7', 'Can be taken back until'], ['Erased']],
]);

it('stands at a stop, is told what opens it, and goes on to the sheet', function () {
    $people = $this->bench();
    $given = Yaml::parseFile(base_path('docs/guide/briefs/card-swap.yaml'));
    $given['card']['leads'] = ['6-pin'];
    $job = app(App\Actions\OpenJob::class)->handle($people['lead'], $given)->refresh();
    $this->signIn('lead');
    $this->see('stop: The power leads are not enough');
    while (! app(App\Bridge\JobBridge::class)->progress($job->refresh())->isShutHere($this->standsAt($job))) {
        $this->layHere($job);
    }
    $shut = $this->standsAt($job);
    $this->visit("/jobs/{$job->id}/run");
    $this->see('Stop: The power leads are not enough');
    expect($shut->acts)
        ->not->toBe([])
        ->and((string) $this->browser()->executeScript('return document.querySelector(".stone-card h1").innerText'))
        ->toBe($shut->title)
        ->and($this->browser()->findElements(WebDriverBy::cssSelector('#done, form.strip, form.evidence')))
        ->toBe([]);
    usleep(1_000_000);
    $this->press(' ');
    usleep(300_000);
    expect(LogRecord::query()->where('step', $shut->id)->where('kind', 'done')->exists())->toBeFalse();
    // The bell keeps ringing with the reason, and the paper says it.
    $this->visit('/bell');
    $this->see('stop, The power leads are not enough');
    $this->visit("/jobs/{$job->id}/paper");
    $this->see('Stop: The power leads are not enough');
    $this->visit("/jobs/{$job->id}/run?stone=hand-over.give-back");
    $this->see('Stop: The power leads are not enough');
    // The intake is changed where the stone says so.
    $this->visit("/jobs/{$job->id}/run");
    $this->press('i');
    $this->see('departures from the policy');
    $this->browser()->executeScript(
        'document.querySelectorAll("details.more").forEach((one) => { one.open = true; })',
    );
    $this->see('Power leads for it');
    $this->browser()->findElement(WebDriverBy::id('card_leads'))->clear();
    $this->browser()
        ->findElement(WebDriverBy::id('card_leads'))
        ->sendKeys('8-pin, 8-pin'.WebDriverKeys::ENTER);
    $this->see('open again');
    for ($laid = 0; $laid < 40 && $job->refresh()->isOpen(); $laid++) {
        $this->layHere($job);
    }
    $this->visit("/jobs/{$job->id}/handover");
    $this->see('The graphics card was exchanged for Ostler G9');
    expect($this->text())->not->toContain('Draft');
});

it('holds a stone whose evidence differs until a lead says why, and asks once of one laid too quickly', function () {
    $job = jobOfKind($this, 'card-swap');
    // Laid at once: the question comes, and its answer lays it.
    $this->visit("/jobs/{$job->id}/run");
    $this->fillEvidence(['condition' => 'clean', 'accessories' => 'charger, bag']);
    $this->see('Was it done before the clock ran?');
    $this->browser()->findElement(WebDriverBy::cssSelector('[name=before_clock]'))->sendKeys(' ');
    $this->browser()->findElement(WebDriverBy::cssSelector('form.evidence button'))->sendKeys(WebDriverKeys::ENTER);
    $this->see('Take in is done.');
    expect(
        LogRecord::query()->where('step', 'intake.take-in')->where('kind', 'done')->firstOrFail()->data[
            'before_clock'
        ],
    )->toBeTrue();
    while (($step = $this->standsAt($job))->id !== 'hardware.close') {
        $this->layHere($job);
    }
    $this->ranBefore($job, 'hardware.close');
    $this->visit("/jobs/{$job->id}/run");
    $this->fillEvidence(['screws_in' => '1 × A, 2 × B']);
    $this->see('a: 1, not 2');
    expect($this->browser()->findElement(WebDriverBy::id('e-screws_in'))->getAttribute('value'))->toBe('1 × A, 2 × B');
    $this->browser()
        ->findElement(WebDriverBy::id('a-screws_in'))
        ->sendKeys('one was missing when it came'.WebDriverKeys::ENTER);
    $this->see('Close the case is done.');
    $this->visit("/jobs/{$job->id}/handover");
    $this->see('What differs and was accepted');
    expect($this->text())->toContain('a: 1, not 2')->toContain('one was missing when it came');
});
