<?php

use App\Actions\OpenJob;
use App\Models\Job;
use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Yaml\Yaml;

/** Opens a job of one of the guide's briefs and signs in. */
function openedJob(object $test, string $brief): Job
{
    $people = $test->bench();
    $test->signIn('lead');
    $given = Yaml::parseFile(base_path("docs/guide/briefs/{$brief}.yaml"));

    return app(OpenJob::class)->handle($people['lead'], $given)->refresh();
}

it('tells beside the kind of job what would do with less, as soon as it is chosen', function () {
    $this->bench();
    $this->signIn('lead');
    $this->visit('/jobs/new');
    $this->browser()->findElement(WebDriverBy::id('machine'))->sendKeys('Fairlead 13');
    $this->browser()->executeScript(
        'const why = document.getElementById("facts-wish-why"); why.value = "fault";'
            .'why.dispatchEvent(new Event("change", {bubbles: true}));',
    );
    $this->see('Start-up repair from the recovery environment');
    $this->see('7 more that may do');
    // It comes in while somebody types elsewhere, and takes nothing from them.
    $this->browser()->executeScript('document.querySelectorAll("details").forEach((one) => one.open = true)');
    $this->browser()->executeScript('document.getElementById("slot").focus()');
    $this->browser()->executeScript(
        'document.getElementById("goal").value = "factory-restore";'
            .'document.getElementById("goal").dispatchEvent(new Event("change", {bubbles: true}));',
    );
    $this->see('Gentler than “put the factory image back”');
    usleep(300_000);
    expect($this->browser()->switchTo()->activeElement()->getAttribute('id'))->toBe('slot');
    expect(Job::query()->count())->toBe(0)->and($this->path())->toBe('/jobs/new');
});

it('keeps a partition that is ticked, and shows the drive as it will be', function () {
    $job = openedJob($this, 'fairlead-13');
    $this->visit("/jobs/{$job->id}/partitions");
    foreach (['2048', '206848', '499935232'] as $start) {
        $this->browser()->findElement(WebDriverBy::id("s-{$start}"))->click();
    }
    $this->browser()->findElement(WebDriverBy::cssSelector('form .btn.go'))->click();
    $this->see('What stays on the drive');
    $this->visit("/jobs/{$job->id}/run?stone=target.erase");
    $this->see('Make room on the drive');
    $this->see('stays, and is used by the new system too');
    expect($this->text())->toContain('Delete only what the table says: Old system (238.3 GiB).');
});

it('goes round what went wrong by keyboard and two clicks, to the stone again', function () {
    $job = openedJob($this, 'stick-for-any');
    while ($this->standsAt($job)->id !== 'media.write') {
        $this->layHere($job);
    }
    $this->visit("/jobs/{$job->id}/run");
    $this->press('p');
    $this->see('Seen at this stone before');
    $this->browser()->executeScript(
        'document.querySelector("input[value=wrong-drive-written]").closest("form").querySelector("button").click()',
    );
    $this->see('First, before anything else');
    expect($this->browser()->findElements(WebDriverBy::cssSelector('form.strip')))->toBe([]);
    $this->browser()->findElement(WebDriverBy::cssSelector('.detour .btn.go'))->click();
    $this->see('1 of 3');
    $this->browser()->findElement(WebDriverBy::cssSelector('.detour .btn.go'))->click();
    $this->until(fn (): bool => $this->browser()->findElements(WebDriverBy::cssSelector('.detour')) === []);
    expect($this->text())->toContain('Write the stick');
});
