<?php

use App\Database\LogChain;
use App\Models\BenchEvent;
use App\Models\LogRecord;
use App\Models\StickEvent;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

/** Runs something as the tables' owner, who could do harm, and takes everything back. */
function asOwner(callable $work): void
{
    config(['database.default' => 'owner']);
    DB::beginTransaction();
    try {
        $work();
    } finally {
        DB::rollBack();
        config(['database.default' => 'pgsql']);
    }
}

it('chains every entry to the one before and finds no fault in what was only written', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->actingAs($people['evening'])->post("/jobs/{$job->id}/steps/intake.take-in/note", [
        'text' => 'a "quoted" note, ünd 木',
        'seen' => $job->last_entry,
    ]);
    StickEvent::note('gull-32', 'checked', ['honest' => true], $people['lead']->id);
    BenchEvent::note('policy', null, ['before' => [], 'after' => []], $people['lead']->id);
    $found = LogChain::verify('log_entries');
    expect($found['faults'])
        ->toBe([])
        ->and($found['entries'])
        ->toBeGreaterThan(1)
        ->and(LogRecord::query()->orderByDesc('id')->value('hash'))
        ->toBe($found['head'])
        ->and(Artisan::call('cobblestone:log', ['action' => 'verify']))
        ->toBe(0)
        ->and(Artisan::output())
        ->toContain('stick_events: 1 entries')
        ->toContain('bench_events: 1 entries');
});

it('finds any change that somebody with the owner\'s rights makes', function (string $sql, string $sentence) {
    asOwner(function () use ($sql, $sentence): void {
        $people = $this->bench();
        $job = $this->jobFrom('fairlead-13', $people['lead']);
        foreach (['one', 'two', 'three'] as $text) {
            LogRecord::query()->create([
                'job_id' => $job->id,
                'user_id' => $people['lead']->id,
                'revision' => 1,
                'role' => 'lead',
                'kind' => 'note',
                'data' => ['text' => $text],
                'created_at' => now(),
            ]);
        }
        expect(LogChain::verify('log_entries')['faults'])->toBe([]);
        DB::unprepared('alter table log_entries disable trigger user');
        DB::unprepared($sql);
        expect(implode(' ', LogChain::verify('log_entries')['faults']))
            ->toContain($sentence)
            ->and(Artisan::call('cobblestone:log', ['action' => 'verify']))
            ->toBe(1);
    });
})->with([
    'a word' => [
        "update log_entries set data = '{\"text\":\"other\"}' where id = (select max(id) - 1 from log_entries)",
        'The contents of entry',
    ],
    'who it was' => [
        "update log_entries set role = 'viewer' where id = (select max(id) from log_entries)",
        'was changed',
    ],
    'when it was' => [
        "update log_entries set created_at = created_at - interval '1 hour' where id = (select max(id) from "
            .'log_entries)',
        'was changed',
    ],
    'one taken out' => [
        'delete from log_entries where id = (select max(id) - 1 from log_entries)',
        'something was removed',
    ],
    'the first taken out' => ['delete from log_entries where id = (select min(id) from log_entries)', 'are missing'],
    'the last taken out' => [
        'delete from log_entries where id = (select max(id) from log_entries)',
        'The end is missing',
    ],
    'all taken out' => ['delete from log_entries', 'The end is missing'],
    'contents emptied, salt kept' => [
        "update log_entries set data = '{}' where id = (select max(id) from log_entries)",
        'The contents of entry',
    ],
    'two exchanged' => [
        'update log_entries set data = (select data from log_entries where id = (select max(id) - 1 from '
            .'log_entries)) where id = (select max(id) from log_entries)',
        'The contents of entry',
    ],
]);

it('lets the application add to the log and do nothing else to it', function (string $sql) {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    DB::beginTransaction();
    try {
        expect(fn () => DB::unprepared($sql))->toThrow(QueryException::class);
    } finally {
        DB::rollBack();
    }
    expect(LogRecord::query()->where('job_id', $job->id)->count())->toBeGreaterThan(0);
})->with([
    "update log_entries set role = 'x'",
    'delete from log_entries',
    'truncate log_entries',
    'alter table log_entries disable trigger user',
    'drop trigger log_only_grows on log_entries',
    'drop table log_entries cascade',
    "update plans set plan = '{}'",
    'delete from plans',
    'delete from stick_events',
    'truncate stick_events',
    "update policies set schools = '{}'",
    'delete from bench_events',
    "update chain_heads set hash = ''",
    'delete from safe_keepings',
    'set session_replication_role = replica',
    "copy log_entries to program 'cat'",
    "copy (select 1) to '/tmp/x'",
    "select pg_read_file('/etc/passwd')",
    'create table mine (x int)',
    'create role other superuser',
    'alter role cobblestone_app superuser',
    'set role cobblestone_owner',
    "select lo_import('/etc/passwd')",
    'create function f() returns int language sql as $$ select 1 $$',
    'create extension dblink',
    "alter system set fsync = 'off'",
]);

it('is no superuser, owns nothing, and tells nobody a thing before it is on the disk', function () {
    $role = DB::selectOne(
        'select rolsuper, rolcreaterole, rolcreatedb, rolreplication, rolbypassrls from pg_roles where rolname = '
            .'current_user',
    );
    expect(array_filter((array) $role))
        ->toBe([])
        ->and(
            DB::selectOne(
                'select count(*) as n from pg_class where relowner = (select oid from pg_roles where rolname = '
                    .'current_user)',
            )->n,
        )
        ->toBe(0)
        ->and(DB::selectOne('show synchronous_commit')->synchronous_commit)
        ->toBe('on');
});

it('takes contents out whole where their time is over, and the chain stays', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $entry = LogRecord::query()->where('job_id', $job->id)->firstOrFail();
    DB::statement('select remove_contents(?, ?)', ['log_entries', $entry->id]);
    expect($entry->refresh()->data)
        ->toBe([])
        ->and(LogChain::verify('log_entries'))
        ->toMatchArray(['faults' => [], 'removed' => 1]);
});

it('takes a number nobody can have seen for having seen nothing', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->actingAs($people['evening'])
        ->post("/jobs/{$job->id}/steps/intake.take-in/start", ['seen' => $job->last_entry + 1000])
        ->assertStatus(409);
    $this->post("/jobs/{$job->id}/steps/intake.take-in/start", ['seen' => $job->last_entry])->assertRedirect();
});
