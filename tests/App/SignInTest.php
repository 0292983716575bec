<?php

it('shows nothing without signing in', function (string $path) {
    $this->get($path)->assertRedirect('/login');
})->with(['/', '/jobs', '/jobs/new', '/sticks', '/shelf', '/catalogue', '/logbook', '/find', '/policy', '/bell']);

it('signs in and out, and says what is wrong in one sentence', function () {
    $this->bench();
    $this->post('/login', ['login' => 'lead', 'password' => 'wrong'])->assertSessionHasErrors([
        'login' => 'This name and password do not go together.',
    ]);
    $this->post('/login', [])->assertSessionHasErrors(['login', 'password']);
    $this->post('/login', ['login' => 'lead', 'password' => 'quillport'])->assertRedirect('/');
    $this->get('/')->assertOk()->assertSee('bench lead');
    $this->post('/logout')->assertRedirect('/login');
    $this->assertGuest();
});

it('lets nobody guess: the ninth try in a minute waits', function () {
    $this->bench();
    for ($i = 0; $i < 8; $i++) {
        $this->post('/login', ['login' => 'lead', 'password' => "guess{$i}"])->assertSessionHasErrors([
            'login' => 'This name and password do not go together.',
        ]);
    }
    $this->post('/login', ['login' => 'lead', 'password' => 'quillport'])->assertSessionHasErrors('login');
    expect(session('errors')->first('login'))->toStartWith('Too many wrong tries. Wait ');
    $this->assertGuest();
});

it('lets a viewer look at everything and change nothing', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->actingAs($people['viewer']);
    foreach (
        [
            '/',
            '/jobs',
            "/jobs/{$job->id}",
            "/jobs/{$job->id}/run",
            "/jobs/{$job->id}/log",
            "/jobs/{$job->id}/handover",
            '/policy',
        ] as $path
    ) {
        $this->get($path)->assertOk();
    }
    foreach (
        [
            ['get', '/jobs/new'],
            ['post', '/jobs'],
            ['post', "/jobs/{$job->id}/intake"],
            ['post', "/jobs/{$job->id}/answers"],
            ['post', "/jobs/{$job->id}/steps/intake.take-in/done"],
            ['post', '/policy'],
        ] as [$method, $path]
    ) {
        $this->{$method}($path)->assertForbidden();
    }
    $this->get("/jobs/{$job->id}/run")->assertDontSee('Done <kbd>', false);
});

it('lets only a lead set the policy', function () {
    $people = $this->bench();
    $schools = ['scheme' => 'widest', 'stick' => 'next-up', 'driver_order' => 'free', 'boot' => 'one-time-menu'];
    $this->actingAs($people['evening'])->post('/policy', $schools)->assertForbidden();
    $this->actingAs($people['lead'])
        ->post('/policy', [...$schools, 'scheme' => 'none'])
        ->assertSessionHasErrors('policy.scheme');
    $version = App\Models\BenchPolicy::version();
    $this->post('/policy', [...$schools, 'as_seen' => $version])->assertRedirect('/policy');
    $this->post('/policy', [...$schools, 'as_seen' => $version])->assertStatus(409);
    $this->post('/policy', [])->assertStatus(409);
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    expect(array_column($job->currentPlan()->plan['decisions'], 'chosen', 'id'))
        ->toMatchArray(['media.scheme' => 'MBR', 'media.stick' => 'Gull 32'])
        ->and($job->currentPlan()->plan['defaults']['schools'])
        ->toMatchArray($schools);
    $this->get('/policy')->assertSee('next-up');
});

it('sends headers that keep foreign scripts and frames out', function () {
    $headers = $this->get('/login')->headers;
    expect($headers->get('Content-Security-Policy'))
        ->toContain("default-src 'self'")
        ->toContain("frame-ancestors 'none'")
        ->and($headers->get('X-Content-Type-Options'))
        ->toBe('nosniff');
});

it('shows a page in words for what is not there', function () {
    $this->actingAs($this->bench()['lead'])
        ->get('/jobs/999')
        ->assertNotFound()
        ->assertSee('Nothing here')
        ->assertDontSee('Exception');
});
