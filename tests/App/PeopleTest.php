<?php

use App\Account\Passwords;
use App\Account\SignInThrottle;
use App\Account\TimeCode;
use App\Models\BenchEvent;
use App\Models\BenchSetting;
use App\Models\User;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->people = $this->bench();
    Cache::flush();
});

it('reads the codes of RFC 6238, appendix B', function (int $at, string $code) {
    $secret = TimeCode::base32('12345678901234567890');
    expect(TimeCode::at($secret, intdiv($at, 30), 8))->toBe($code)
        ->and(TimeCode::step($secret, substr($code, 2), $at, 0))->toBe(intdiv($at, 30))
        ->and(TimeCode::step($secret, substr($code, 2), $at + 30, 0))->toBe(intdiv($at, 30))
        ->and(TimeCode::step($secret, substr($code, 2), $at + 90, 0))->toBeNull()
        ->and(TimeCode::step($secret, substr($code, 2), $at, intdiv($at, 30)))->toBeNull();
})->with([
    [59, '94287082'],
    [1111111109, '07081804'],
    [1111111111, '14050471'],
    [1234567890, '89005924'],
    [2000000000, '69279037'],
    [20000000000, '65353130'],
]);

it('writes a secret as base 32 does (RFC 4648, section 10)', function (string $plain, string $written) {
    expect(TimeCode::base32($plain))->toBe(rtrim($written, '='));
})->with([['f', 'MY======'], ['fo', 'MZXQ===='], ['foo', 'MZXW6==='], ['foobar', 'MZXW6YTBOI======']]);

it('makes an account that must choose an own password before anything else', function () {
    $this->actingAs($this->people['lead'])
        ->post('/people', ['login' => 'morning', 'title' => 'morning technician', 'role' => 'technician'])
        ->assertRedirect('/people');
    $password = json_decode(Illuminate\Support\Facades\Crypt::decryptString(session('handed')), true)['password'];
    $this->get('/people')->assertOk()->assertSee($password);
    $this->get('/people')->assertOk()->assertDontSee($password);
    $this->post('/logout');
    $this->post('/login', ['login' => 'morning', 'password' => $password])->assertRedirect();
    $this->get('/jobs')->assertRedirect('/account');
    $this->get('/account')->assertOk()->assertSee('Choose your own');
    $this->post('/account/password', [
        'current_password' => $password,
        'password' => 'quillport1',
        'password_confirmation' => 'quillport1',
    ])
        ->assertSessionHasErrors('password');
    $this->post('/account/password', [
        'current_password' => 'wrong',
        'password' => 'rope and tar 7',
        'password_confirmation' => 'rope and tar 7',
    ])
        ->assertSessionHasErrors('current_password');
    $this->post('/account/password', [
        'current_password' => $password,
        'password' => 'rope and tar 7',
        'password_confirmation' => 'rope and tar 8',
    ])
        ->assertSessionHasErrors('password_confirmation');
    expect(session()->all())->not->toHaveKey('_old_input.password');
    $this->post('/account/password', [
        'current_password' => $password,
        'password' => 'rope and tar 7',
        'password_confirmation' => 'rope and tar 7',
    ])
        ->assertSessionHasNoErrors();
    $this->get('/jobs')->assertOk();
    expect(BenchEvent::query()->pluck('kind')->all())->toContain('person-added', 'password-changed');
});

it('refuses weak passwords and says why', function (string $password) {
    $this->actingAs($this->people['lead'])
        ->post('/account/password', [
            'current_password' => 'quillport',
            'password' => $password,
            'password_confirmation' => $password,
        ])
        ->assertSessionHasErrors('password');
})->with(['short', 'aaaaaaaaaaaaaaaa', 'evening technician and quillport', str_repeat('long ', 20), 'Bench Lead']);

it('ends an account at once, keeps its name, and never ends the last lead', function () {
    $evening = $this->people['evening'];
    DB::table('sessions')->insert([
        'id' => 'abc',
        'user_id' => $evening->id,
        'payload' => '',
        'last_activity' => now()->timestamp,
    ]);
    $this->actingAs($this->people['lead'])->post("/people/{$evening->id}/end")->assertSessionHasNoErrors();
    expect(DB::table('sessions')->where('user_id', $evening->id)->count())->toBe(0);
    $this->post("/people/{$this->people['lead']->id}/end")->assertSessionHasErrors('person');
    $this->post("/people/{$this->people['lead']->id}", [
        'title' => 'bench lead',
        'role' => 'viewer',
        'as_seen' => $this->people['lead']->refresh()->version(),
    ])
        ->assertSessionHasErrors('person');
    $this->post('/people', ['login' => 'evening', 'title' => 'x', 'role' => 'viewer'])->assertSessionHasErrors('login');
    $this->actingAs($evening->refresh())->get('/jobs')->assertRedirect('/login');
    $this->post('/login', ['login' => 'evening', 'password' => 'quillport'])->assertSessionHasErrors('login');
    $this->actingAs($this->people['lead'])->post("/people/{$evening->id}/reopen")->assertSessionHas('handed');
    expect($evening->refresh()->isHere())->toBeTrue()->and($evening->must_change)->toBeTrue();
});

it('conflicts visibly when two leads change one account', function () {
    $evening = $this->people['evening'];
    $seen = $evening->refresh()->version();
    $this->actingAs($this->people['lead'])
        ->post("/people/{$evening->id}", ['title' => 'late technician', 'role' => 'technician', 'as_seen' => $seen])
        ->assertRedirect('/people');
    $this->post("/people/{$evening->id}", ['title' => 'night technician', 'role' => 'technician', 'as_seen' => $seen])
        ->assertStatus(409)
        ->assertSee('night technician')
        ->assertSee('late technician');
    $this->post("/people/{$evening->id}", [])->assertSessionHasErrors('title');
    expect($evening->refresh()->title)->toBe('late technician');
});

it('is for the lead alone', function (string $who) {
    $this->actingAs($this->people[$who])->get('/people')->assertForbidden();
    $this->post('/people', ['login' => 'mine', 'title' => 'x', 'role' => 'lead'])->assertForbidden();
    $this->post("/people/{$this->people['lead']->id}/password")->assertForbidden();
})->with(['evening', 'viewer']);

it('asks for a code where one was set up, and takes none twice', function () {
    $this->actingAs($this->people['lead'])->post('/account/code/secret');
    $secret = Illuminate\Support\Facades\Crypt::decryptString(session('code-secret'));
    $this->get('/account')->assertOk()->assertSee('<svg', false);
    $this->post('/account/code', ['code' => '000000'])->assertSessionHasErrors('code');
    $step = intdiv((int) now()->timestamp, 30);
    $this->post('/account/code', ['code' => TimeCode::at($secret, $step)])->assertSessionHasNoErrors();
    expect(DB::table('users')->where('id', $this->people['lead']->id)->value('code_secret'))->not->toContain($secret);
    $this->post('/logout');
    $this->post('/login', ['login' => 'lead', 'password' => 'quillport'])->assertRedirect('/login/code');
    $this->assertGuest();
    $this->get('/jobs')->assertRedirect('/login');
    $this->post('/login/code', ['code' => TimeCode::at($secret, $step)])->assertSessionHasErrors('code');
    $this->post('/login/code', ['code' => TimeCode::at($secret, $step + 1)])->assertRedirect('/jobs');
    $this->assertAuthenticated();
    $this->post('/account/code/off', ['current_password' => 'wrong'])->assertSessionHasErrors('current_password');
    $this->post('/account/code/off', ['current_password' => 'quillport'])->assertSessionHasNoErrors();
    expect($this->people['lead']->refresh()->hasCode())->toBeFalse();
});

it('counts wrong tries only, by account and by address', function () {
    for ($i = 0; $i < 30; $i++) {
        $this->post('/login', ['login' => 'lead', 'password' => 'quillport'])->assertRedirect('/');
        $this->post('/logout');
    }
    for ($i = 0; $i < SignInThrottle::PER_ACCOUNT; $i++) {
        $this->post('/login', ['login' => 'evening', 'password' => 'no'], ['REMOTE_ADDR' => '10.0.0.9']);
    }
    $this->post('/login', ['login' => 'evening', 'password' => 'quillport'])->assertSessionHasErrors('login');
    // The lead signs in from here often: strangers' wrong tries elsewhere do not lock the lead out.
    for ($i = 0; $i < SignInThrottle::PER_ACCOUNT + 1; $i++) {
        (new SignInThrottle('lead', '10.0.0.9'))->wrong();
    }
    expect((new SignInThrottle('lead', '10.0.0.9'))->wait())->not->toBeNull()
        ->and((new SignInThrottle('lead', '127.0.0.1'))->wait())->toBeNull();
    for ($i = 0; $i < SignInThrottle::PER_ADDRESS; $i++) {
        (new SignInThrottle("name{$i}", '10.0.0.7'))->wrong();
    }
    expect((new SignInThrottle('nobody-yet', '10.0.0.7'))->wait())->not->toBeNull()
        ->and((new SignInThrottle('nobody-yet', '10.0.0.8'))->wait())->toBeNull();
});

it('lists where somebody is signed in, and ends it', function () {
    DB::table('sessions')->insert([
        [
            'id' => 'first-session',
            'user_id' => $this->people['lead']->id,
            'payload' => '',
            'ip_address' => '10.1.2.3',
            'user_agent' => "Browser <b>\u{202E}",
            'last_activity' => now()->timestamp,
        ],
        [
            'id' => 'of-another',
            'user_id' => $this->people['evening']->id,
            'payload' => '',
            'ip_address' => '10.9.9.9',
            'user_agent' => 'Other',
            'last_activity' => now()->timestamp,
        ],
    ]);
    $page = $this->actingAs($this->people['lead'])
        ->get('/account')
        ->assertOk()
        ->assertSee('10.1.2.3')
        ->assertDontSee('10.9.9.9')
        ->assertDontSee('first-session');
    preg_match('#/account/sessions/([0-9a-f]{24})#', (string) $page->getContent(), $key);
    $this->post("/account/sessions/{$key[1]}")->assertCookie('cobblestone_did', 'ended');
    expect(DB::table('sessions')->where('id', 'first-session')->exists())->toBeFalse();
    $page = $this->get('/people')->assertSee('10.9.9.9');
    preg_match('#/people/sessions/(\d+)/([0-9a-f]{24})#', (string) $page->getContent(), $key);
    $this->post("/people/sessions/{$key[1]}/{$key[2]}")->assertCookie('cobblestone_did', 'ended');
    expect(DB::table('sessions')->where('id', 'of-another')->exists())->toBeFalse();
});

it('makes the first lead at the console, once', function () {
    expect(Artisan::call('cobblestone:person', [
        'action' => 'add',
        'login' => 'first',
        '--title' => 'bench lead',
        '--role' => 'lead',
    ]))
        ->toBe(0);
    preg_match('/signs in with  (\S+)/', Artisan::output(), $match);
    $this->post('/login', ['login' => 'first', 'password' => $match[1]])->assertRedirect('/');
    expect(Artisan::call('cobblestone:person', ['action' => 'add', 'login' => 'first', '--role' => 'lead']))->toBe(1)
        ->and(Artisan::call('cobblestone:person', ['action' => 'add', 'login' => 'No Good']))->toBe(1)
        ->and(Artisan::call('cobblestone:person', ['action' => 'password', 'login' => 'nobody']))->toBe(1);
});

it('names the accounts that still have the demo password, and the page names them only on this computer', function () {
    expect(Passwords::demoStands())->toBe(['lead', 'evening', 'viewer'])
        ->and(Artisan::call('cobblestone:shop', ['action' => 'no-demo-passwords']))->toBe(1);
    BenchSetting::put(BenchSetting::WORLD, 'demo');
    $this->get('/login')->assertSee('quillport');
    config(['app.url' => 'http://bench.example']);
    $this->get('http://bench.example/login')->assertOk()->assertDontSee('quillport');
    BenchSetting::put(BenchSetting::WORLD, 'shop');
    config(['app.url' => 'http://localhost']);
    $this->get('/login')->assertDontSee('quillport');
    User::query()->update(['password' => Illuminate\Support\Facades\Hash::make('rope and tar 7')]);
    expect(Artisan::call('cobblestone:shop', ['action' => 'no-demo-passwords']))->toBe(0);
});
