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
    $this->actingAs($people['lead'])
        ->post('/people', [], ['referer' => 'https://evil.example/x'])
        ->assertRedirect('/');
    $this->post('/people', [], ['referer' => config('app.url').'/people'])->assertRedirect('/people');
});

it('carries its headers on every answer, and weakens no stricter policy', function (string $path) {
    $response = $this->get($path);
    expect($response->headers->get('Content-Security-Policy'))
        ->toContain("default-src 'self'")
        ->and($response->headers->get('X-Content-Type-Options'))
        ->toBe('nosniff')
        ->and((string) $response->getContent())
        ->not->toMatch('#(src|href)="(https?:)?//#');
})->with(['/login', '/up', '/no-such-page']);

it('keeps a photo\'s stricter policy', function () {
    Illuminate\Support\Facades\Route::get(
        '/strict',
        fn () => response('x', 200, ['Content-Security-Policy' => "default-src 'none'; sandbox"]),
    );
    expect($this->get('/strict')->headers->get('Content-Security-Policy'))->toBe("default-src 'none'; sandbox");
});

it('believes a proxy only where the shop has named it', function () {
    Illuminate\Support\Facades\Route::get('/who', fn () => [request()->ip(), request()->secure()]);
    expect($this->get('/who', ['X-Forwarded-For' => '203.0.113.9', 'X-Forwarded-Proto' => 'https'])->json())->toBe([
        '127.0.0.1',
        false,
    ]);
    Illuminate\Http\Middleware\TrustProxies::at(['127.0.0.1']);
    try {
        expect(
            $this->get('/who', ['X-Forwarded-For' => '203.0.113.9', 'X-Forwarded-Proto' => 'https'])->json(),
        )->toBe(['203.0.113.9', true]);
    } finally {
        Illuminate\Http\Middleware\TrustProxies::at([]);
    }
});

it('tells a watching program how it is, without loading anything', function () {
    $this->get('/up')
        ->assertOk()
        ->assertJson(['state' => 'well', 'database' => true]);
});

it('turns what cannot be read into a page that is not there or a field\'s message', function (
    string $method,
    string $path,
    array $data,
    int $status,
) {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $path = str_replace('JOB', (string) $job->id, $path);
    $response = $this->actingAs($people['lead'])->call(
        $method,
        $path,
        $method === 'POST' ? ['seen' => (string) $job->last_entry, ...$data] : $data,
    );
    expect($response->status() === 303 ? 302 : $response->status())->toBe($status);
    if ($status === 302) {
        $response->assertSessionHasErrors();
    }
})->with([
    'a list in a search' => ['GET', '/jobs?q[]=x', [], 404],
    'half a letter' => ['GET', "/jobs?q=\xC3", [], 404],
    'NUL in a search' => ['GET', '/find?q=a%00b', [], 404],
    'NUL in an address' => ['GET', '/sticks/a%00b', [], 404],
    'a page without end' => ['GET', '/jobs?page=99999999999999999999', [], 200],
    'a page below' => ['GET', '/jobs?page=-1', [], 200],
    'a number too long' => ['GET', '/jobs/99999999999999999999', [], 404],
    'text for a number' => ['GET', '/shelf/abc', [], 404],
    'unknown stick' => ['GET', '/sticks/no-such-stick', [], 404],
    'unknown stick, check' => ['POST', '/sticks/no-such-stick/check', [], 404],
    'unknown stick, replug' => ['POST', '/sticks/no-such-stick/replug', [], 404],
    'unknown stick, back' => ['POST', '/sticks/no-such-stick/take-back', [], 404],
    'unknown build' => ['GET', '/sticks/gull-32/builds/999', [], 404],
    'lists where text is meant' => ['POST', '/jobs', ['title' => ['a' => ['b']], 'machine' => 'Fairlead 13'], 302],
    'half a letter in a field' => ['POST', '/jobs/JOB/state/wait', ['for' => 'parts', 'wait_text' => "\xC3"], 302],
    'NUL in a note' => ['POST', '/jobs/JOB/steps/intake.take-in/note', ['text' => "a\0b"], 302],
    'a memory test before its sheet' => [
        'POST',
        '/jobs/JOB/memory/tests',
        ['placed' => ['A1' => 'M1'], 'profile' => 'standard', 'passes' => 1, 'outcome' => 'clean'],
        302,
    ],
    'no such action' => ['POST', '/jobs/JOB/steps/intake.take-in/explode', ['text' => 'x'], 302],
    'list for a stone' => ['GET', '/jobs/JOB/run?stone[]=x', [], 404],
    'list for a side' => ['POST', '/jobs/JOB/backup', ['source' => ['x'], 'copy' => 'y'], 302],
    'list for a sign-in' => ['POST', '/account/password', ['current_password' => ['x'], 'password' => ['y']], 302],
    'list for a session' => ['POST', '/jobs/JOB/keys', ['kind' => ['x'], 'secret' => ['y']], 302],
]);

it('keeps nothing secret of a refused form in the session', function () {
    $people = $this->bench();
    BenchPolicy::query()->create([
        'schools' => ['keys' => 'sealed'],
        'user_id' => $people['lead']->id,
        'created_at' => now(),
    ]);
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->actingAs($people['lead'])
        ->post("/jobs/{$job->id}/keys", ['kind' => 'recovery', 'label' => '', 'secret' => '123456-SECRET-654321'])
        ->assertSessionHasErrors('label');
    expect(json_encode(session()->all()))->not->toContain('SECRET');
});

it('lets keys end on time without anybody looking, and says when one cannot be opened', function () {
    $people = $this->bench();
    BenchPolicy::query()->create([
        'schools' => ['keys' => 'sealed'],
        'user_id' => $people['lead']->id,
        'created_at' => now(),
    ]);
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->actingAs($people['lead'])
        ->post("/jobs/{$job->id}/keys", ['kind' => 'recovery', 'label' => 'C', 'secret' => '123456-654321'])
        ->assertSessionHasNoErrors();
    $key = SealedKey::query()->firstOrFail();
    $this->post("/jobs/{$job->id}/keys/{$key->id}/show")
        ->assertOk()
        ->assertSee('123456-654321');
    DB::table('sealed_keys')->update([
        'sealed' => (new Encrypter(random_bytes(32), 'AES-256-CBC'))->encryptString('old'),
    ]);
    $this->post("/jobs/{$job->id}/keys/{$key->id}/show")->assertSessionHasErrors('key');
    DB::table('sealed_keys')->update(['sealed' => Crypt::encryptString('again')]);
    $this->travel(15)->days();
    expect(SealedKey::forgetExpired())
        ->toBe(1)
        ->and(DB::table('sealed_keys')->value('sealed'))
        ->toBeNull();
});

it('says a full drive or a silent database in words, keeps what was typed on the page, and tells no trace', function (
    string $state,
    int $status,
    string $says,
) {
    $people = $this->bench();
    Illuminate\Support\Facades\Route::middleware('web')->post('/falls', function () use ($state): never {
        $cause = new PDOException("SQLSTATE[{$state}]: could not extend file: No space left on device");
        $cause->errorInfo = [$state, 7, 'x'];
        throw new Illuminate\Database\QueryException('pgsql', 'insert into log_entries', [], $cause);
    });
    $this->actingAs($people['lead'])
        ->post('/falls', ['text' => 'three long sentences', 'secret' => 'HIDDEN'])
        ->assertStatus($status)
        ->assertSee($says)
        ->assertSee('three long sentences')
        ->assertDontSee('HIDDEN')
        ->assertDontSee('insert into');
})->with([
    ['53100', 507, 'drive is full'],
    ['08006', 503, 'does not answer'],
    ['57P01', 503, 'does not answer'],
    ['22003', 422, 'cannot be kept'],
]);

it('takes no files on a drive that is nearly full, and says so before anything is kept', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    config(['cobblestone.least_free' => PHP_INT_MAX]);
    $this->actingAs($people['lead'])
        ->post("/jobs/{$job->id}/readings", [
            'seen' => $job->last_entry,
            'files' => [Illuminate\Http\UploadedFile::fake()->create('a.txt', 5)],
        ])
        ->assertStatus(507)
        ->assertSee('drive is full');
    $this->post("/jobs/{$job->id}/steps/intake.take-in/note", [
        'text' => 'still goes',
        'seen' => 0,
    ])->assertSessionHasNoErrors();
});

it('shows the lead, and /up, which processes died, until they are seen', function () {
    $people = $this->bench();
    @mkdir($folder = (string) config('cobblestone.state'), recursive: true);
    array_map(unlink(...), glob("{$folder}/{*.pid,deaths*}", GLOB_BRACE) ?: []);
    $listener = new Symfony\Component\Process\Process([
        PHP_BINARY,
        base_path('deploy/note-deaths.php'),
        "{$folder}/deaths.jsonl",
    ]);
    $event = fn (
        string $name,
        int $expected,
    ): string => ($payload = "processname:{$name} groupname:{$name} from_state:RUNNING expected:{$expected} pid:1") ===
    ''
        ? ''
        : 'ver:3.0 server:supervisor serial:1 pool:x poolserial:1 eventname:PROCESS_STATE_EXITED len:'.
            strlen($payload).
            "\n{$payload}";
    $listener->setInput($event('work-builds', 0).$event('work', 1));
    expect($listener->run())->toBe(0)->and(substr_count($listener->getOutput(), "RESULT 2\nOK"))->toBe(2);
    file_put_contents("{$folder}/watch.pid", '999999');
    $this->get('/up')
        ->assertOk()
        ->assertJson(['state' => 'look', 'deaths_unseen' => 1, 'workers' => ['watch' => false]]);
    $this->actingAs($people['lead'])
        ->get('/')
        ->assertSee('Died and was started again: builds of sticks')
        ->assertSee('Not running: watcher of the shelf');
    $this->actingAs($people['evening'])->get('/')->assertDontSee('Died and was started again');
    $this->post('/bench/deaths-seen')->assertForbidden();
    $this->actingAs($people['lead'])->post('/bench/deaths-seen')->assertRedirect('/');
    $this->get('/')->assertDontSee('Died and was started again');
    array_map(unlink(...), glob("{$folder}/{*.pid,deaths*}", GLOB_BRACE) ?: []);
});

it('takes as many files at once as the page promises', function () {
    $promised = (new ReflectionClass(App\Http\Requests\ReadingRequest::class))->getConstant('FILES');
    preg_match('/max_file_uploads\] = (\d+)/', (string) file_get_contents(base_path('deploy/php-fpm.conf')), $taken);
    expect((int) $taken[1])->toBeGreaterThan($promised);
});

it('hands no password over in the arguments of a program, which every account of a computer can read', function () {
    foreach (['bin/lib.sh', 'bin/start', 'bin/backup', 'bin/restore', 'bin/test'] as $script) {
        expect((string) file_get_contents(base_path($script)))->not->toMatch(
            '/(-v|--set|--password)[ =]\S*password/i',
        );
    }
});
