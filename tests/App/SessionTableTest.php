<?php

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

const SESSION = 'cobblestone_session';

beforeEach(function () {
    config(['session.driver' => 'bench']);
    $this->bench();
    $this->came = null;
    // As a browser asks: each time a process of its own, with the cookie it was given last.
    $this->ask = function (string $method, string $path, array $form = []): TestResponse {
        app('session')->forgetDrivers();
        app('auth')->forgetGuards();
        app()->forgetInstance('session.store');
        app()->forgetInstance('redirect');
        app()->forgetScopedInstances();
        $this->came === null || $this->withCookie(SESSION, $this->came);
        $answer = $this->call($method, $path, $form, $this->prepareCookiesForRequest());
        $this->came = $answer->getCookie(SESSION)?->getValue() ?? $this->came;

        return $answer;
    };
    $this->told = fn (TestResponse $answer): bool => $answer->getCookie(SESSION) !== null;
    $this->seen = fn (): int => (int) DB::table('sessions')->where('id', $this->came)->value('last_activity');
    $this->signIn = function (): TestResponse {
        ($this->ask)('GET', '/login');

        return ($this->ask)('POST', '/login', ['login' => 'lead', 'password' => 'quillport']);
    };
});

it('gives the browser another session at the door, and tells it once a minute how long that lasts', function () {
    ($this->ask)('GET', '/login')->assertOk();
    $before = $this->came;
    expect(($this->told)(($this->ask)('POST', '/login', ['login' => 'lead', 'password' => 'quillport'])))->toBeTrue()
        ->and($this->came)->not->toBe($before);
    $at = ($this->seen)();
    expect(($this->told)(($this->ask)('GET', '/find')->assertOk()))->toBeFalse();
    $this->travel(59)->seconds();
    expect(($this->told)(($this->ask)('GET', '/find')->assertOk()))->toBeFalse()->and(($this->seen)())->toBe($at);
    $this->travel(2)->seconds();
    $answer = ($this->ask)('GET', '/find')->assertOk();
    expect($answer->getCookie(SESSION)->getExpiresTime())->toBe(now()->addMinutes(720)->timestamp)
        ->and(($this->seen)())->toBe(now()->timestamp);
});

it('keeps whoever changes something all the time signed in, by the browser\'s cookie too', function () {
    ($this->signIn)();
    $told = now();
    for ($i = 0; $i < 12; $i++) {
        $this->travel(25)->seconds();
        // It is refused, and what was typed is kept for the form: what the session holds changes each time.
        $answer = ($this->ask)('POST', '/account/password', ['typed' => "word {$i}"])
            ->assertRedirect('/');
        if (($this->told)($answer)) {
            $told = now();
        }
        expect($told->diffInSeconds(now()))->toBeLessThan(90)
            ->and(now()->timestamp - ($this->seen)())->toBeLessThan(90);
    }
    ($this->ask)('GET', '/find')->assertOk();
});

it('knows nobody by a session that is older than its time, or from another time', function () {
    ($this->signIn)();
    $this->travel(720)->minutes();
    ($this->ask)('GET', '/find')->assertOk();
    $this->travel(721)->minutes();
    ($this->ask)('GET', '/find')->assertRedirect('/login');
    // The computer's clock was set back: what was seen "tomorrow" is told anew.
    ($this->signIn)();
    $this->travelTo(now()->subDay());
    expect(($this->told)(($this->ask)('GET', '/find')->assertOk()))->toBeTrue()
        ->and(($this->seen)())->toBe(now()->timestamp);
});

it('tells a browser whose session is not there about its new one', function () {
    $this->came = str_repeat('a', 40);
    expect(($this->told)(($this->ask)('GET', '/login')->assertOk()))->toBeTrue();
    ($this->signIn)();
    DB::table('sessions')->delete();
    expect(($this->told)(($this->ask)('GET', '/find')->assertRedirect('/login')))->toBeTrue();
});
