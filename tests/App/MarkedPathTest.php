<?php

use App\Actions\LogBook;
use App\Actions\ReplanJob;
use App\Bridge\JobBridge;
use App\Models\CurrentPath;
use App\Models\Job;
use Cobblestone\Runbook\EntryKind;
use Cobblestone\Runbook\Plan;
use Illuminate\Support\Facades\DB;

/** What a page that only shows reads along with a job, as the server with shared memory does. */
function marksOf(Job $job): array
{
    $row = DB::table('jobs')->where('id', $job->id)->selectRaw(
        'xmin::text as mark, (select path.xmin::text from current_paths as path where path.job_id = jobs.id '
            .'and path.revision = jobs.revision) as path_mark',
    )->first();

    return (array) $row;
}

it('gives by its mark the same path as by its row', function () {
    $job = $this->jobFrom('fairlead-13', $this->bench()['lead']);
    $marked = CurrentPath::marked($job->id, $job->revision, marksOf($job)['path_mark']);
    expect($marked->typed()->toArray())->toEqual($job->currentPlan()->typed()->toArray())
        ->and($marked->json())->toBe($job->currentPlan()->json());
});

it('shows whoever looks next what was just written, from memory as from the table', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $note = fn (string $text) => $this->actingAs($people['evening'])
        ->post("/jobs/{$job->id}/steps/intake.take-in/note", ['text' => $text, 'seen' => 0])
        ->assertSessionHasNoErrors();
    $texts = static fn (array $log): array => array_values(array_filter(array_map(
        static fn ($entry): string => $entry->said('text'),
        array_filter($log, static fn ($entry): bool => $entry->kind === EntryKind::Note),
    )));
    $note('the first');
    $note('the second');
    $written = DB::table('log_entries')->where('job_id', $job->id)->orderBy('id')->pluck('id')->all();
    $seen = Job::locked($job->id);
    expect($texts($seen->log()))->toBe(['the first', 'the second'])
        ->and(array_map(static fn ($entry): int => $entry->id, $seen->log()))->toBe($written)
        ->and($seen->last_entry)->toBe(end($written));
    $this->get("/jobs/{$job->id}/log")->assertSee('the second');
});

it('forgets with the transaction what was written in one that did not hold', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $before = count(Job::locked($job->id)->log());
    try {
        DB::transaction(function () use ($job, $people): void {
            $held = Job::locked($job->id);
            // Nobody read the log before: what is written has to be read with the rest.
            app(LogBook::class)->write($held, $people['lead'], EntryKind::Note, 'intake.take-in', ['text' => 'gone']);
            expect(array_map(static fn ($entry): string => $entry->said('text'), $held->log()))->toContain('gone');

            throw new RuntimeException('taken back');
        });
    } catch (RuntimeException) {
    }
    expect(Job::locked($job->id)->log())->toHaveCount($before);
});

it('plans twice in one transaction and holds the second path', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    DB::transaction(function () use ($job, $people): void {
        foreach (['a first name', 'a second name'] as $title) {
            $held = Job::locked($job->id);
            $brief = [...app(JobBridge::class)->brief($held), 'title' => $title];
            app(ReplanJob::class)->handle($held, $people['lead'], $brief, $title, $held->last_entry);
        }
    });
    $held = Job::locked($job->id);
    expect($held->title)->toBe('a second name')
        ->and($held->revision)->toBe(3)
        ->and(json_encode($held->currentPlan()->typed()->toArray()))
        ->toBe(json_encode(Plan::fromArray(CurrentPath::query()->findOrFail($job->id)->plan)->toArray()));
});

it('has no index over what changes with every stone, so that the row of a job is rewritten in place', function () {
    $indexed = array_column(DB::select(<<<'SQL'
        select distinct attname from pg_depend
            join pg_class as one on one.oid = objid and one.relkind = 'i'
            join pg_attribute on attrelid = refobjid and attnum = refobjsubid
        where refobjid = 'jobs'::regclass
        SQL), 'attname');
    expect($indexed)->toContain('title', 'stick_in_hand')
        ->not->toContain('summary')->not->toContain('last_entry')->not->toContain('updated_at');
});

it('knows which stick a job has in hand by what its summary says', function () {
    $people = $this->bench();
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $stick = $job->summary['stick']['id'];
    expect($job->stick_in_hand)->toBe($stick)->and(App\Bridge\KeptStick::of($stick)?->isFor($job->id))->toBeTrue();
    $job->update(['summary' => array_diff_key($job->summary, ['stick' => true])]);
    expect($job->refresh()->stick_in_hand)->toBeNull()->and(App\Bridge\KeptStick::of($stick))->toBeNull();
});
