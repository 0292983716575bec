<?php

use App\Models\FinishedReading;
use App\Models\JobPhoto;
use App\Models\SeenRow;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\Artisan;

it('reads the finished machine, writes a row down by keys, and shows what is otherwise than before', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $bundle = sys_get_temp_dir().'/proof-'.bin2hex(random_bytes(5)).'.tar.gz';
    Artisan::call('cobblestone:stand-in-machine', [
        'brief' => (string) $job->id, 'out' => $bundle, '--fault' => ['old-driver'],
    ]);
    $this->signIn('evening');
    $this->visit("/jobs/{$job->id}");
    $this->press('o');
    $this->see('27 nobody has read');
    $this->browser()->findElement(WebDriverBy::id('files'))->setFileDetector(new LocalFileDetector())
        ->sendKeys($bundle);
    $this->browser()->findElement(WebDriverBy::cssSelector('form[action$="/acceptance/readings"] button'))
        ->sendKeys(WebDriverKeys::ENTER);
    $this->see('1 differs, 13 nobody has read');
    $this->see('install its package once more');
    $this->browser()->findElement(WebDriverBy::id('e-updates_found'))->sendKeys('0'.WebDriverKeys::ENTER);
    $this->see('14 as expected, 1 differs, 12 nobody has read');
    expect(FinishedReading::query()->count())->toBe(1)->and(SeenRow::query()->count())->toBeGreaterThan(0);
    @unlink($bundle);
});

it('blackens what the finger draws over', function () {
    $folder = sys_get_temp_dir().'/cobble-drawn-'.bin2hex(random_bytes(4));
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $picture = imagecreatetruecolor(600, 400);
    imagefill($picture, 0, 0, (int) imagecolorallocate($picture, 255, 255, 255));
    $file = sys_get_temp_dir().'/drawn-'.bin2hex(random_bytes(5)).'.png';
    imagepng($picture, $file);
    $this->signIn('evening');
    $this->visit("/jobs/{$job->id}/photos");
    $browser = $this->browser();
    $browser->findElement(WebDriverBy::id('photo'))->setFileDetector(new LocalFileDetector())->sendKeys($file);
    $sheet = $browser->findElement(WebDriverBy::cssSelector('canvas.blackout'));
    for ($i = 0; $i < 50 && ! $sheet->isDisplayed(); $i++) {
        usleep(100_000);
    }
    $browser->executeScript('arguments[0].scrollIntoView({block: "center"})', [$sheet]);
    // From a little left of the middle, to the right and down.
    (new WebDriverActions($browser))->moveToElement($sheet, -60, -40)->clickAndHold()->moveByOffset(120, 80)
        ->release()->perform();
    $areas = json_decode((string) $browser->findElement(WebDriverBy::name('black'))->getAttribute('value'), true);
    expect($areas)->toHaveCount(1)->and($areas[0][2])->toBeGreaterThan(0.05);
    $browser->findElement(WebDriverBy::id('words'))->sendKeys('a screen'.WebDriverKeys::ENTER);
    $this->until(fn (): bool => JobPhoto::query()->exists());
    expect(JobPhoto::query()->sole()->blackened)->toBe(1);
    $this->see(', blackened');
    @unlink($file);
});
