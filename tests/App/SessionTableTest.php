<?php

use App\Database\ReadAlong;
use App\Models\User;
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

it('reads the job of an address with the session, and asks anew where something is changed', function () {
    $job = $this->jobFrom('fairlead-13', User::query()->where('login', 'lead')->firstOrFail());
    ($this->signIn)();
    $asked = [];
    DB::listen(function ($query) use (&$asked) {
        $asked[] = $query->sql;
    });
    $of = function (string $method, string $path, array $form = []) use (&$asked): array {
        $asked = [];
        ($this->ask)($method, $path, $form);

        return array_values(array_filter($asked, static fn (string $sql): bool => str_contains($sql, 'from "jobs"')
            || str_contains($sql, 'from arrival') || str_contains($sql, 'held_job')));
    };
    $with = 'select payload, last_activity, person, bell, catalogue, mark, path_mark, (held).* from arrival(?, ?, ?)';
    $without = 'select payload, last_activity, person, bell, catalogue from arrival(?, ?, ?)';
    expect($of('GET', "/jobs/{$job->id}"))->toBe([$with])
        ->and($of('GET', '/find'))->toBe([$without])
        ->and($of('GET', '/jobs/0'.$job->id)[0])->toBe($without)
        ->and($of('POST', "/jobs/{$job->id}/intake", ['seen' => '0'])[0])->toBe($without)
        ->and(count($of('POST', "/jobs/{$job->id}/intake", ['seen' => '0'])))->toBeGreaterThan(1);
    ($this->ask)('GET', '/jobs/999999')->assertNotFound();
    ($this->ask)('GET', '/jobs/1e0')->assertNotFound();
});

it('gives a job read with the session as the same that is read alone', function () {
    $job = $this->jobFrom('fairlead-13', User::query()->where('login', 'lead')->firstOrFail());
    $job->update(['remind_at' => '2026-12-24 08:00:00', 'delete_by' => '2027-01-31', 'slot' => 2]);
    ($this->signIn)();
    ($this->ask)('GET', "/jobs/{$job->id}")->assertOk();
    $along = ReadAlong::ofJob($job->id);
    $alone = (array) DB::selectOne('select *, xmin::text as mark, path_mark(id, revision) as path_mark from jobs');
    expect($along)->toEqual($alone)->and($along['path_mark'])->not->toBeNull()
        ->and(ReadAlong::ofJob($job->id + 1))->toBeNull();
});
