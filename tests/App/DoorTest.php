<?php

use App\Models\BenchPolicy;
use App\Models\SealedKey;
use Illuminate\Encryption\Encrypter;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;

it('serves its own host name and no other', function () {
    $this->get('http://evil.example/login')->assertStatus(421);
    $this->get('http://localhost.evil.example/up')->assertStatus(421);
    $this->get('http://localhost/login')->assertOk();
    config(['app.url' => 'https://bench.example']);
    $this->get('http://localhost/login')->assertStatus(421);
    $this->get('https://bench.example/login')->assertOk();
});

it('never leads away: "back" is a page of ours', function () {
    $people = $this->bench();
    $this->actingAs($people['lead'])->post('/people', [], ['referer' => 'https://evil.example/x'])->assertRedirect('/');
    $this->post('/people', [], ['referer' => config('app.url').'/people'])->assertRedirect('/people');
});

it('carries its headers on every answer, and weakens no stricter policy', function (string $path) {
    $response = $this->get($path);
    expect($response->headers->get('Content-Security-Policy'))->toContain("default-src 'self'")->and($response->headers->get('X-Content-Type-Options'))->toBe('nosniff')
        ->and((string) $response->getContent())->not->toMatch('#(src|href)="(https?:)?//#');
})->with(['/login', '/up', '/no-such-page']);

it('keeps a photo\'s stricter policy', function () {
    Illuminate\Support\Facades\Route::get('/strict', fn () => response('x', 200, ['Content-Security-Policy' => "default-src 'none'; sandbox"]));
    expect($this->get('/strict')->headers->get('Content-Security-Policy'))->toBe("default-src 'none'; sandbox");
});

it('believes a proxy only where the shop has named it', function () {
    Illuminate\Support\Facades\Route::get('/who', fn () => [request()->ip(), request()->secure()]);
    expect($this->get('/who', ['X-Forwarded-For' => '203.0.113.9', 'X-Forwarded-Proto' => 'https'])->json())->toBe(['127.0.0.1', false]);
    Illuminate\Http\Middleware\TrustProxies::at(['127.0.0.1']);
    try {
        expect($this->get('/who', ['X-Forwarded-For' => '203.0.113.9', 'X-Forwarded-Proto' => 'https'])->json())->toBe(['203.0.113.9', true]);
    } finally {
        Illuminate\Http\Middleware\TrustProxies::at([]);
    }
});

it('tells a watching program how it is, without loading anything', function () {
    $this->get('/up')->assertOk()->assertJson(['state' => 'well', 'database' => true]);
});

it('turns what cannot be read into a page that is not there or a field\'s message', function (string $method, string $path, array $data, int $status) {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $path = str_replace('JOB', (string) $job->id, $path);
    $response = $this->actingAs($people['lead'])->call($method, $path, $method === 'POST' ? ['seen' => (string) $job->last_entry, ...$data] : $data);
    expect($response->status() === 303 ? 302 : $response->status())->toBe($status);
    if ($status === 302) {
        $response->assertSessionHasErrors();
    }
})->with([
    'a list in a search' => ['GET', '/jobs?q[]=x', [], 404], 'half a letter' => ['GET', "/jobs?q=\xC3", [], 404], 'NUL in a search' => ['GET', '/find?q=a%00b', [], 404], 'NUL in an address' => ['GET', '/sticks/a%00b', [], 404],
    'a page without end' => ['GET', '/jobs?page=99999999999999999999', [], 200], 'a page below' => ['GET', '/jobs?page=-1', [], 200], 'a number too long' => ['GET', '/jobs/99999999999999999999', [], 404], 'text for a number' => ['GET', '/shelf/abc', [], 404],
    'unknown stick' => ['GET', '/sticks/no-such-stick', [], 404], 'unknown stick, check' => ['POST', '/sticks/no-such-stick/check', [], 404], 'unknown stick, replug' => ['POST', '/sticks/no-such-stick/replug', [], 404], 'unknown stick, back' => ['POST', '/sticks/no-such-stick/take-back', [], 404],
    'unknown build' => ['GET', '/sticks/gull-32/builds/999', [], 404], 'lists where text is meant' => ['POST', '/jobs', ['title' => ['a' => ['b']], 'machine' => 'Fairlead 13'], 302], 'half a letter in a field' => ['POST', '/jobs/JOB/state/wait', ['for' => 'parts', 'wait_text' => "\xC3"], 302],
    'NUL in a note' => ['POST', '/jobs/JOB/steps/intake.take-in/note', ['text' => "a\0b"], 302], 'a memory test before its sheet' => ['POST', '/jobs/JOB/memory/tests', ['placed' => ['A1' => 'M1'], 'profile' => 'standard', 'passes' => 1, 'outcome' => 'clean'], 302],
    'no such action' => ['POST', '/jobs/JOB/steps/intake.take-in/explode', ['text' => 'x'], 302], 'list for a stone' => ['GET', '/jobs/JOB/run?stone[]=x', [], 404], 'list for a side' => ['POST', '/jobs/JOB/backup', ['source' => ['x'], 'copy' => 'y'], 302],
    'list for a sign-in' => ['POST', '/account/password', ['current_password' => ['x'], 'password' => ['y']], 302], 'list for a session' => ['POST', '/jobs/JOB/keys', ['kind' => ['x'], 'secret' => ['y']], 302],
]);

it('keeps nothing secret of a refused form in the session', function () {
    $people = $this->bench();
    BenchPolicy::query()->create(['schools' => ['keys' => 'sealed'], 'user_id' => $people['lead']->id, 'created_at' => now()]);
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->actingAs($people['lead'])->post("/jobs/{$job->id}/keys", ['kind' => 'recovery', 'label' => '', 'secret' => '123456-SECRET-654321'])->assertSessionHasErrors('label');
    expect(json_encode(session()->all()))->not->toContain('SECRET');
});

it('lets keys end on time without anybody looking, and says when one cannot be opened', function () {
    $people = $this->bench();
    BenchPolicy::query()->create(['schools' => ['keys' => 'sealed'], 'user_id' => $people['lead']->id, 'created_at' => now()]);
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->actingAs($people['lead'])->post("/jobs/{$job->id}/keys", ['kind' => 'recovery', 'label' => 'C', 'secret' => '123456-654321'])->assertSessionHasNoErrors();
    $key = SealedKey::query()->firstOrFail();
    $this->post("/jobs/{$job->id}/keys/{$key->id}/show")->assertOk()->assertSee('123456-654321');
    DB::table('sealed_keys')->update(['sealed' => (new Encrypter(random_bytes(32), 'AES-256-CBC'))->encryptString('old')]);
    $this->post("/jobs/{$job->id}/keys/{$key->id}/show")->assertSessionHasErrors('key');
    DB::table('sealed_keys')->update(['sealed' => Crypt::encryptString('again')]);
    $this->travel(15)->days();
    expect(SealedKey::forgetExpired())->toBe(1)->and(DB::table('sealed_keys')->value('sealed'))->toBeNull();
});
