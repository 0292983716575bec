<?php

use App\Models\Job;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Support\Bundles;

it('takes a bundle in, settles a contradiction and comes back to the path', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->signIn('lead');
    $this->visit("/jobs/{$job->id}");
    $this->press('i');
    $this->see('Read the machine');
    $bundle = Bundles::tarGz([
        'm/lshw.json' => Bundles::fixture('lshw-new.json'),
        'm/dmidecode.txt' => Bundles::fixture('dmidecode-new.txt'),
        'm/odd.txt' => 'what is this',
    ]);
    $this->browser()
        ->findElement(WebDriverBy::id('files'))
        ->setFileDetector(new LocalFileDetector())
        ->sendKeys($bundle);
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('form[action$="/readings"] button'))
        ->sendKeys(WebDriverKeys::ENTER);
    $this->see('Read: lshw, dmidecode');
    expect($this->text())->toContain('"odd.txt": this is not the output of a tool')->toContain('waits for you');
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('.contradictions tr.open td:nth-child(3) button'))
        ->sendKeys(WebDriverKeys::ENTER);
    $this->see('settled by a person');
    expect(array_column($job->refresh()->currentPlan()->plan['facts'], 'value', 'name')['memory_bytes'])->toBe(
        17179869184,
    );
    // Reload and back button keep their ground.
    $this->browser()->navigate()->refresh();
    $this->see('settled by a person');
    $this->visit("/jobs/{$job->id}");
    $this->browser()->navigate()->back();
    $this->see('What sources say differently');
    unlink($bundle);
});

it('finds a bad module on the memory sheet by keyboard, and holds the copy back meanwhile', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->signIn('evening');
    $this->visit("/jobs/{$job->id}");
    $this->press('m');
    $this->see('Begin the sheet');
    $this->press('M1 8, M2 8', WebDriverKeys::ENTER);
    $this->see('Next test');
    // The sheet places the modules as the next test wants them: only the outcome is said.
    $truth = 'M2';
    for ($i = 0; $i < 8; $i++) {
        if (str_contains($this->text(), 'is bad, with')) {
            break;
        }
        $placed = (array) $this->browser()->executeScript(
            'return [...document.querySelectorAll(".memory-test select[name^=placed]")].map((s) => '
                .'s.value).filter(Boolean)',
        );
        $rows = fn (): int => (int) $this->browser()->executeScript(
            'return document.querySelectorAll("td.outcome").length',
        );
        $this->browser()
            ->findElement(
                WebDriverBy::cssSelector(
                    '[name=outcome][value='.(in_array($truth, $placed, true) ? 'errors' : 'clean').']',
                ),
            )
            ->sendKeys(' ');
        $this->browser()
            ->findElement(WebDriverBy::cssSelector('.memory-test button'))
            ->sendKeys(WebDriverKeys::ENTER);
        $this->until(fn (): bool => $rows() === $i + 1);
        usleep(300_000);
    }
    expect($this->text())->toContain('Module M2 is bad, with')->toContain('Nothing is copied, repaired or installed');
    $this->visit("/jobs/{$job->id}/run?stone=protect.back-up");
    $this->see('Hold: Memory fault open');
    expect($this->browser()->findElements(WebDriverBy::cssSelector('.gate-card a[href$="/memory"]')))->toHaveCount(1);
});

it('answers the deciding question, marks a way as tried and sees the next gentlest', function () {
    $people = $this->bench();
    $job = $this->jobFrom('repair', $people['lead']);
    $this->signIn('lead');
    $this->visit("/jobs/{$job->id}");
    $this->press('a');
    $this->see('would change this most');
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('[name="facts[recovery.environment]"][value=yes]'))
        ->sendKeys(' ');
    $this->browser()->findElement(WebDriverBy::cssSelector('form.questions button'))->sendKeys(WebDriverKeys::ENTER);
    $this->see('Revision 2');
    $this->press('a');
    $this->see('this one');
    expect(
        (string) $this->browser()->executeScript('return document.querySelector(".ladder .recommended b").innerText'),
    )->toBe('Start-up repair from the recovery environment');
    $this->browser()
        ->findElement(WebDriverBy::cssSelector('.ladder .recommended button'))
        ->sendKeys(WebDriverKeys::ENTER);
    $this->see('Tried already, and it did not help.');
    expect(
        (string) $this->browser()->executeScript('return document.querySelector(".ladder .recommended b").innerText'),
    )
        ->toBe('Rebuild the boot files from an install stick')
        ->and(Job::query()->firstOrFail()->revision)
        ->toBe(3);
});

it('finds what is seen with a slash from run mode', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->signIn('evening');
    $this->visit("/jobs/{$job->id}/run");
    $this->press('/');
    $this->until(fn (): bool => $this->path() === '/find');
    $this->press('asks for recovery key', WebDriverKeys::ENTER);
    $this->see('Is this normal?');
    $this->browser()->findElement(WebDriverBy::cssSelector('.symptom summary'))->sendKeys(WebDriverKeys::ENTER);
    $this->see('Put the changed setting back first.');
    expect($this->text())->toContain('Asks for a recovery key');
});
