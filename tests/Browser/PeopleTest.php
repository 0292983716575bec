<?php

use App\Account\TimeCode;
use Facebook\WebDriver\WebDriverBy;

it('hands an account over, has the password changed, and asks for a code from then on', function () {
    $this->bench();
    $this->signIn('lead');
    $this->visit('/people');
    $this->browser()->findElement(WebDriverBy::id('login'))->sendKeys('morning');
    $this->browser()->findElement(WebDriverBy::id('title'))->sendKeys("morning technician\n");
    $this->see('Hand this over now');
    $password = $this->browser()->findElement(WebDriverBy::cssSelector('.handed .mono'))->getText();
    $this->visit('/people');
    expect($this->text())->not->toContain($password);
    $this->browser()->manage()->deleteAllCookies();

    $this->visit('/login');
    $this->browser()->findElement(WebDriverBy::id('login'))->sendKeys('morning');
    $this->browser()
        ->findElement(WebDriverBy::id('password'))
        ->sendKeys("{$password}\n");
    $this->see('Choose your own');
    $this->visit('/jobs');
    expect($this->path())->toBe('/account');
    foreach (
        [
            'current_password' => $password,
            'password' => 'rope and tar 7',
            'password_confirmation' => "rope and tar 7\n",
        ] as $field => $typed
    ) {
        $this->browser()->findElement(WebDriverBy::id($field))->sendKeys($typed);
    }
    $this->see('You are signed out everywhere else.');
    $this->browser()->findElement(WebDriverBy::cssSelector('form[action="/account/code/secret"] button'))->click();
    $this->see('Read this with an authenticator');
    $secret = str_replace(' ', '', $this->browser()->findElement(WebDriverBy::cssSelector('.qr + .mono'))->getText());
    $this->browser()
        ->findElement(WebDriverBy::id('code'))
        ->sendKeys(TimeCode::at($secret, intdiv(time(), 30))."\n");
    $this->see('From the next sign-in a code is asked for too.');
    $this->browser()->manage()->deleteAllCookies();

    $this->visit('/login');
    $this->browser()->findElement(WebDriverBy::id('login'))->sendKeys('morning');
    $this->browser()->findElement(WebDriverBy::id('password'))->sendKeys("rope and tar 7\n");
    $this->see('The code that your device shows now');
    // The next step's code counts already; the present one was taken when it was switched on.
    $this->browser()
        ->findElement(WebDriverBy::id('code'))
        ->sendKeys(TimeCode::at($secret, intdiv(time(), 30) + 1)."\n");
    $this->see('Bench');
    expect($this->path())->toBe('/');
});

it('ends a sign-in elsewhere at the next click', function () {
    $this->bench();
    $this->signIn('evening');
    $session = $this->browser()->manage()->getCookieNamed('cobblestone_session');
    $this->browser()->manage()->deleteAllCookies();
    $this->signIn('lead');
    $this->visit('/people');
    $this->see('evening technician');
    $this->browser()->findElement(WebDriverBy::cssSelector('form[action^="/people/sessions/"] button'))->click();
    $this->see('is out at their next click');
    $this->browser()->manage()->deleteAllCookies();
    $this->browser()->manage()->addCookie($session);
    $this->visit('/jobs');
    expect($this->path())->toBe('/login');
});
