<?php

use App\Models\Job;
use App\Models\LogRecord;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Yaml\Yaml;

const EVIDENCE = [
    'condition' => 'one scratch',
    'accessories' => 'charger',
    'promised' => 'papers, rota and pictures stay',
    'agreed_by' => 'crew office lead',
    'agreed_how' => 'in-writing',
    'received_by' => 'crew office lead',
];

const BACKUP = [
    'files_source' => '11840',
    'files_copy' => '11840',
    'bytes_source' => '24117248000',
    'bytes_copy' => '24117248000',
    'checksums' => 'equal',
    'samples' => '3',
];

it('takes a laptop in, walks its path by keyboard and prints the sheet', function () {
    $this->bench();
    $this->signIn('lead');
    $given = Yaml::parseFile(base_path('docs/guide/briefs/fairlead-13.yaml'));

    // New job: machine by a few letters, reading pasted, what is known answered.
    $this->press('n');
    $this->see('Show the path');
    $this->press('fair 13');
    foreach ($this->browser()->findElements(WebDriverBy::cssSelector('details.more > summary')) as $summary) {
        $this->browser()->executeScript('arguments[0].parentElement.open = true', [$summary]);
    }
    $this->browser()->executeScript('document.getElementById("lsblk").value = arguments[0]', [
        $given['machine']['lsblk'],
    ]);
    $this->browser()->findElement(WebDriverBy::cssSelector('[name=keep][value=some]'))->sendKeys(' ');
    $this->browser()->findElement(WebDriverBy::id('backup_bytes'))->sendKeys('24117248000');
    $this->browser()->findElement(WebDriverBy::id('dest_name'))->sendKeys('Bollard external drive');
    $this->browser()->findElement(WebDriverBy::id('slot'))->sendKeys('1');
    $this->browser()->findElement(WebDriverBy::id('machine'))->sendKeys(WebDriverKeys::ENTER);
    $this->see('Take in');
    $job = Job::query()->firstOrFail();
    $this->see('2 questions');
    expect($this->text())
        ->toContain('Because')
        ->toContain('How is the present drive protected?')
        ->toContain('Where does the licence for Tansy Desktop 7 come from?');
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('[name="facts[licence.kind]"][value=entitlement]'))
        ->sendKeys(' ');
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('[name="facts[drive.encryption]"][value=chip]'))
        ->sendKeys(' ');
    $this->browser()->findElement(WebDriverBy::cssSelector('form.questions button'))->sendKeys(WebDriverKeys::ENTER);
    $this->see('Revision 2');

    // Run mode, by keys alone.
    $this->ranBefore($job, 'intake.take-in');
    $this->ranBefore($job, 'identify.look');
    $this->ranBefore($job, 'protect.owner-word');
    $this->ranBefore($job, 'protect.back-up');
    $this->press('r');
    $this->see('stone 1 of');
    $step = fn () => (string) $this->browser()->executeScript(
        'return document.querySelector(".stone-card h1").innerText',
    );
    expect($step())->toBe('Take in');
    usleep(1_000_000);
    $this->press(' ');
    expect($this->browser()->switchTo()->activeElement()->getAttribute('name'))->toBe('evidence[condition]');
    $this->press('one scratch', WebDriverKeys::TAB, 'charger', WebDriverKeys::ENTER);
    $this->see('Take in is done.');
    expect($step())->toBe('Look at the label');

    // A done is taken back, then done again.
    $this->press('u');
    $this->see('stone 1 of');
    expect($step())
        ->toBe('Take in')
        ->and(LogRecord::query()->where('kind', 'taken-back')->count())
        ->toBe(1);
    // Space counts only once the stone was there long enough to be read: pressed the moment it comes in, while the page
    // settles and just after, it does not.
    $this->browser()->executeScript(<<<'JS'
    window.pressed = [];
    for (const moment of ['htmx:afterSwap', 'htmx:afterSettle']) {
        document.addEventListener(moment, (event) => {
            if (event.detail.target?.id !== 'page' || window.pressed.includes(moment)) return;
            document.dispatchEvent(new KeyboardEvent('keydown', {key: ' ', bubbles: true}));
            window.pressed.push(moment);
        });
    }
    JS);
    usleep(1_000_000);
    $this->fillEvidence(EVIDENCE);
    $this->see('Take in is done.');
    $this->see('Look at the label');
    expect($this->browser()->executeScript('return window.pressed'))->toBe(['htmx:afterSwap', 'htmx:afterSettle']);
    usleep(1_000_000);
    expect($step())->toBe('Look at the label');
    $this->press(' ');
    $this->see('Look at the label is done.');
    $this->fillEvidence(EVIDENCE);
    $this->see('The owner\'s word is done.');

    // Walk away from the copy: the next stone for hands comes up.
    $this->see('Back up');
    $this->press('w');
    $this->see('Lay out tools');
    expect(Job::query()->firstOrFail()->summary['away'][0]['title'])->toBe('Back up');

    // Read ahead to the closed gate: space does nothing there.
    $this->visit("/jobs/{$job->id}/run?stone=target.erase");
    $this->see('Hold: Backup verified');
    usleep(1_000_000);
    $this->press(' ');
    usleep(300_000);
    expect(LogRecord::query()->where('step', 'target.erase')->count())
        ->toBe(0)
        ->and($this->text())
        ->toContain('You can read this ahead');

    // The copy is done; a first proof is refused beside its field and what was typed is kept; the second opens the
    // gate.
    $this->visit("/jobs/{$job->id}/run?stone=protect.back-up");
    usleep(1_000_000);
    $this->press(' ');
    $this->see('Back up is done.');
    $this->ranBefore($job, 'protect.check-backup');
    $this->visit("/jobs/{$job->id}/run?stone=target.erase");
    $this->see('Open the gate');
    $this->fillEvidence([...BACKUP, 'files_copy' => '11839']);
    $this->see('11 839 read, 11 840 expected');
    expect($this->browser()->findElement(WebDriverBy::name('evidence[bytes_copy]'))->getAttribute('value'))->toBe(
        '24117248000',
    );
    $this->fillEvidence(BACKUP);
    $this->see('Check the backup is done.');

    // The rest of the path, stone by stone.
    $problem = false;
    for ($i = 0; $i < 60; $i++) {
        $job = Job::query()->firstOrFail();
        if (! $job->isOpen()) {
            break;
        }
        $current = $job->summary['current'];
        $this->standOn($job, $current['title']);
        if ($current['id'] === 'boot.start' && ! $problem) {
            $problem = true;
            $this->press('p');
            $this->press('not in the list', WebDriverKeys::TAB, WebDriverKeys::ENTER);
            $this->see('Problem: not in the list');
            expect($this->text())->toContain('Next test')->toContain('another port');
            $this->press('t');
            $this->see('try 2');

            continue;
        }
        if ($current['id'] === 'target.erase') {
            expect($this->browser()->getPageSource())->not->toContain('415D');
            $this->press('g');
            $this->press('0000', WebDriverKeys::TAB, ' ', WebDriverKeys::ENTER);
            $this->see('These are not the last four');
            expect(
                LogRecord::query()->where('kind', 'confirmed')->where('step', 'target.erase')->exists(),
            )->toBeFalse();
        }
        if ($current['one_way']) {
            usleep(1_000_000);
            $this->press(' ');
            usleep(300_000);
            expect(LogRecord::query()->where('kind', 'done')->where('step', $current['id'])->exists())->toBeFalse();
        }
        $this->layHere($job, EVIDENCE);
    }
    $job = Job::query()->firstOrFail();
    expect($job->status)
        ->toBe('handed-over')
        ->and($problem)
        ->toBeTrue()
        ->and(
            LogRecord::query()
                ->whereIn('kind', ['problem', 'retry'])
                ->count(),
        )
        ->toBe(2)
        ->and(LogRecord::query()->where('kind', 'confirmed')->count())
        ->toBe(2);

    // The sheet an owner can read, without the frame when printed.
    $this->visit("/jobs/{$job->id}/handover");
    $this->see('Handover sheet');
    expect($this->text())
        ->toContain('Tansy Desktop 7 Dock')
        ->toContain('Your files were copied, counted and compared')
        ->toContain('11 840')
        ->not->toContain('Draft')
        ->not->toContain('415D');
    $this->developer('Emulation.setEmulatedMedia', ['media' => 'print']);
    expect($this->browser()->findElement(WebDriverBy::id('kerb'))->isDisplayed())->toBeFalse();
});

it('reaches the first action on a known model within 15 keystrokes', function () {
    $this->bench();
    $this->signIn('lead');
    $keys = ['n', 'd', ' ', '1', '3', WebDriverKeys::ENTER, 'r', 's'];
    $this->press($keys[0]);
    $this->see('Show the path');
    $this->press(...array_slice($keys, 1, 5));
    $this->see('Path on paper');
    $this->press($keys[6]);
    $this->see('stone 1 of');
    $this->press($keys[7]);
    $this->see('expected');
    expect(LogRecord::query()->orderByDesc('id')->value('kind'))
        ->toBe('started')
        ->and(Job::query()->firstOrFail()->currentPlan()->plan['job']['model'])
        ->toBe('norrel-fairlead-13')
        ->and(count($keys))
        ->toBeLessThanOrEqual(15);
});
