<?php

use App\Models\StickBuild;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\BrowserTestCase;
use Tests\Support\Images;

beforeEach(function () {
    $this->bench();
});

/** Fills the page's file field as a person would and waits until the shelf shows it. */
function bringImage(BrowserTestCase $test, string $name): void
{
    $path = sys_get_temp_dir().'/'.$name;
    file_put_contents($path, Images::bytes($name));
    $test->visit('/shelf');
    $test->browser()->findElement(WebDriverBy::id('upload'))->sendKeys($path);
    $test->see($name);
    $test->see('no published checksum');
    unlink($path);
}

it('brings an image, looks into it, and builds a stick from it by keyboard', function () {
    $this->signIn('evening');
    $this->visit('/shelf');
    $this->see('The shelf is empty.');
    bringImage($this, 'hybrid-mbr.iso');
    $this->browser()->findElement(WebDriverBy::partialLinkText('hybrid-mbr.iso'))->click();
    $this->see('A hybrid optical image');
    expect($this->text())
        ->toContain('Starts by UEFI on x86-64.')
        ->toContain('Signed; cannot tell whether it is trusted.');
    expect($this->axe())->toBe([]);
    $this->press('m');
    $this->see('ways from this image to a stick');
    expect($this->axe())->toBe([]);
    $this->press('g');
    $this->press('9', '9', '9', '9', WebDriverKeys::ENTER);
    $this->see('That is not the end of the serial of');
    $stick = $this->browser()->findElement(WebDriverBy::id('stick'))->getAttribute('value');
    $serial = substr(
        Cobblestone\Catalogue\Stick::fromArray(
            App\Models\CatalogueEntry::query()->where('kind', 'sticks')->where('slug', $stick)->sole()->document,
        )->serial,
        -4,
    );
    $this->browser()->findElement(WebDriverBy::cssSelector('input[value=copied-mbr]'))->click();
    $field = $this->browser()->findElement(WebDriverBy::id('serial'));
    $field->clear();
    $field->sendKeys($serial.WebDriverKeys::ENTER);
    $this->see('every byte was read back and is as it should be');
    expect($this->path())
        ->toMatch('#^/sticks/[a-z0-9-]+/builds/\d+$#')
        ->and($this->text())
        ->toContain('make-stick.sh')
        ->toContain('SHA256SUMS');
    expect($this->axe())->toBe([]);
    $this->visit("/sticks/{$stick}");
    $this->see('read back past the cache and equal');
    expect($this->axe())->toBe([]);
    $this->browser()->navigate()->back();
    $this->see('every byte was read back');

    $this->visit("/sticks/{$stick}/starts");
    $this->see('Nobody has started it here yet.');
    expect($this->axe())->toBe([]);
    $this->press('s');
    $this->see('You can leave this page or load it again');
    expect($this->path())->toMatch('#^/starts/\d+$#');
    $this->press('c');
    // A machine takes six seconds at least; a hand that is slower than that finds it ended.
    $ended = '/Stopped|As predicted|They differ|settles nothing/';
    for ($i = 0; $i < 80 && preg_match($ended, $this->text()) !== 1; $i++) {
        usleep(500_000);
    }
    expect($this->text())->toMatch($ended);
    expect($this->axe())->toBe([]);
});

it('shows how far a build is, survives a reload, and can be cancelled', function () {
    $this->signIn('evening');
    bringImage($this, 'disk.img.xz');
    $file = App\Models\ShelfFile::query()->where('name', 'disk.img.xz')->sole();
    // A slow stick: seven megabytes in half a minute, which is longer than what is looked at meanwhile takes.
    $entry = App\Models\CatalogueEntry::query()->where('kind', 'sticks')->where('slug', 'harbour-16')->sole();
    $entry->update(['document' => [...$entry->document, 'write_mb_s' => 0.2, 'stand_in' => ['paced' => true]]]);
    $this->visit("/shelf/{$file->id}/ways?stick=harbour-16");
    $this->browser()
        ->findElement(WebDriverBy::id('serial'))
        ->sendKeys('0071'.WebDriverKeys::ENTER);
    $this->see('Write the image');
    $this->see('MB/s');
    $this->browser()->navigate()->refresh();
    $this->see('Write the image');
    expect($this->axe())->toBe([]);
    $this->press('c');
    $this->see('Cancelled');
    expect($this->text())->toContain('unfinished: not proven');
    expect(StickBuild::query()->sole()->state)->toBe('cancelled');
    $this->visit('/sticks');
    $this->see('unfinished: not proven');
});

it('leaves what somebody types beside an image alone while it is looked into', function () {
    $this->signIn('lead');
    bringImage($this, 'hybrid-mbr.iso');
    $this->browser()->findElement(WebDriverBy::partialLinkText('hybrid-mbr.iso'))->click();
    $this->see('A hybrid optical image');
    $file = App\Models\ShelfFile::query()->where('name', 'hybrid-mbr.iso')->sole();
    $report = $file->report;
    $file->update(['report' => null]);
    $this->visit("/shelf/{$file->id}");
    $this->see('Being looked into');
    $this->browser()->executeScript('document.querySelector("details.panel").open = true');
    $this->browser()->findElement(WebDriverBy::id('published'))->sendKeys('c0ffee');
    usleep(2_200_000);
    $file->update(['report' => $report]);
    $this->see('A hybrid optical image');
    $field = $this->browser()->findElement(WebDriverBy::id('published'));
    expect($field->getAttribute('value'))->toBe('c0ffee')
        ->and($this->browser()->switchTo()->activeElement()->getAttribute('id'))->toBe('published');
});

it('fits a narrow screen', function () {
    $this->signIn('evening');
    bringImage($this, 'hybrid-mbr.iso');
    $file = App\Models\ShelfFile::query()->where('name', 'hybrid-mbr.iso')->sole();
    $file->update([
        'about' => [
            'line' => 'An extraordinarily long line of systems with a name that does not end',
            'version' => '2026.11.25.1',
        ],
    ]);
    $this->resize(390, 844);
    foreach (['/shelf', "/shelf/{$file->id}", "/shelf/{$file->id}/ways", '/sticks', '/sticks/gull-32'] as $page) {
        $this->visit($page);
        expect($this->browser()->executeScript('return document.documentElement.scrollWidth'))->toBeLessThanOrEqual(
            390,
            $page,
        );
        expect($this->axe())->toBe([]);
    }
});
