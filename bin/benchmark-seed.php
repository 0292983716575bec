<?php

// Fills a database of its own with a bench of years: 10 000 jobs, 500 000 log entries. bin/benchmark calls it.
use Illuminate\Support\Facades\DB;

require __DIR__.'/../vendor/autoload.php';
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$jobs = (int) ($argv[1] ?? 10_000);
$per = (int) ($argv[2] ?? 50);
// Copies of a walked job: the same path, summary and log as the demo's, under other numbers and titles.
DB::unprepared(<<<SQL
    insert into jobs (title, slot, status, revision, last_entry, brief, summary, user_id, machine_serial, created_at, updated_at)
    select 'Ferry desk '||n||' '||(array['counter','lounge','crew','mast','pier'])[1 + n % 5], null, 'handed-over', 1, 0, j.brief, j.summary, j.user_id, 'SEED-'||n, now() - n * interval '1 hour', now() - n * interval '1 hour'
    from generate_series(1, {$jobs}) n, (select * from jobs order by id limit 1) j;
    insert into plans (job_id, revision, plan, reason, user_id, created_at)
    select s.id, 1, p.plan, 'first path', s.user_id, s.created_at from jobs s, (select * from plans order by id limit 1) p where s.machine_serial like 'SEED-%' and s.id % 10 = 0;
    -- Where something went wrong, what it went wrong with is asked of the path.
    insert into current_paths (job_id, revision, plan)
    select s.id, 1, p.plan from jobs s, (select * from current_paths order by job_id limit 1) p where s.machine_serial like 'SEED-%' and s.id % 10 = 0;
    alter table log_entries disable trigger user;
    alter table log_entries alter column id set default nextval(pg_get_serial_sequence('log_entries', 'id'));
    insert into log_entries (job_id, user_id, revision, role, kind, step, data, created_at)
    select s.id, s.user_id, 1, 'technician', case when s.id % 10 = 0 and k = 7 then 'problem' when s.id % 10 = 0 and k = 8 then 'helped' when s.id % 10 = 0 and k = 9 then 'waived' else (array['started','done','note'])[1 + k % 3] end, 'intake.take-in', '{"text":"as usual","cause":"a cause","words":"a gate"}', s.created_at + k * interval '1 minute'
    from jobs s, generate_series(1, {$per}) k where s.machine_serial like 'SEED-%';
    insert into step_times (job_id, model, system, step, stick, title, seconds, created_at)
    select s.id, (array['norrel-fairlead-13','brackwater-capstan-t3'])[1 + s.id % 2], (array['Tansy Desktop 7','Orrin Desktop 3','Skerry Rolling'])[1 + s.id % 3], 'install.phase-'||k, (array['Tern 64','Gull 32'])[1 + s.id % 2], 'Copy files', 600 + s.id % 300, s.created_at
    from jobs s, generate_series(0, 1) k where s.machine_serial like 'SEED-%';
    update jobs set last_entry = (select max(id) from log_entries where job_id = jobs.id) where machine_serial like 'SEED-%';
    alter table log_entries alter column id drop default;
    alter table log_entries enable trigger user;
    SQL);
App\Database\LogChain::rebuild(DB::connection(), 'log_entries');
DB::unprepared('analyze');
echo DB::table('jobs')->count(), ' ', DB::table('log_entries')->count(), "\n";
