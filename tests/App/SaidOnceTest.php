<?php

use Illuminate\Support\Facades\DB;

it('says once what was just done, and writes it into no session', function () {
    $people = $this->bench();
    config(['session.driver' => 'bench']);
    $days = ['backups' => 30, 'photos' => 90, 'owner' => 400, 'jobs' => 800, 'keys' => 30];
    $this->actingAs($people['lead']);
    $page = $this->get('/retention')->assertOk()->assertDontSee('Saved.');
    preg_match('/name="as_seen" value="([^"]*)"/', (string) $page->getContent(), $version);
    $done = $this->post('/retention', [...$days, 'as_seen' => $version[1] ?? ''])->assertSessionHasNoErrors();
    $done->assertCookie('cobblestone_did', 'saved');
    expect(DB::table('sessions')->count())->toBeGreaterThan(0)
        ->and(DB::table('sessions')->get()->filter(
            fn (object $row): bool => str_contains((string) base64_decode($row->payload), 'saved'),
        ))->toHaveCount(0);
    $this->withCookie('cobblestone_did', 'saved')->get('/retention')
        ->assertSee('Saved.')
        ->assertCookieExpired('cobblestone_did');
    $this->withCookie('cobblestone_did', '')->get('/retention')->assertDontSee('Saved.');
    // One that somebody made up says nothing.
    $this->withUnencryptedCookie('cobblestone_did', 'saved')->get('/retention')->assertOk()->assertDontSee('Saved.');
});
