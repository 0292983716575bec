<?php

use App\Models\BenchEvent;
use App\Models\Job;
use App\Models\LogRecord;
use App\Retention\Due;
use Cobblestone\Runbook\EntryKind;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
    // As it stands after a hand-over on which a day was agreed.
    $this->hand = function (?string $day): void {
        foreach (['protect.back-up' => [], 'hand-over.give-back' => ['delete_by' => $day]] as $step => $evidence) {
            app(App\Actions\LogBook::class)->write($this->job, $this->people['lead'], EntryKind::Done, $step, [
                'evidence' => array_filter($evidence),
            ]);
        }
        $this->job->update(['status' => 'handed-over', 'handed_over_at' => now(), 'delete_by' => $day]);
    };
    $this->gone = fn (array $evidence) => $this->post("/deletions/{$this->job->id}", [
        'of' => (string) $this->job->id, 'evidence' => $evidence,
    ]);
});

it('waits for the day that was agreed, and shows it on the Bench then', function () {
    ($this->hand)(now()->addDays(5)->format('Y-m-d'));
    $this->get('/')->assertOk()->assertDontSee('Copies whose day has come');
    $this->get('/deletions')->assertOk()->assertSee('No copy has to be deleted today.');
    $this->travel(5)->days();
    $this->get('/')->assertSee('Copies whose day has come')->assertSee('Bollard external drive, agreed for');
    $this->get('/deletions')->assertSee('Delete the folder of job '.sprintf('%04d', $this->job->id))
        ->assertDontSee((string) $this->job->currentPlan()->typed()->job->title.'XXXX');
    expect(array_column(Due::words(), 'what'))->toBe(['backups']);
});

it('goes by the bench\'s own days where none was agreed', function () {
    ($this->hand)(null);
    $this->travel(29)->days();
    $this->get('/')->assertDontSee('Copies whose day has come');
    $this->travel(2)->days();
    $this->get('/')->assertSee('due since');
});

it('does not wait for the bench\'s days where an earlier day was agreed, nor take a later one for due', function () {
    ($this->hand)(now()->addDays(60)->format('Y-m-d'));
    $this->travel(40)->days();
    expect(Due::words())->toBe([]);
    $this->travel(20)->days();
    expect(array_column(Due::words(), 'what'))->toBe(['backups']);
});

it('is put on record with what was looked at, and is over then', function () {
    ($this->hand)(now()->format('Y-m-d'));
    $brief = Symfony\Component\Yaml\Yaml::parse($this->job->brief);
    $serial = substr($brief['backup']['destination']['serial'] ?? '', -4);
    $said = array_filter(['copy_serial' => $serial, 'how' => 'overwritten', 'gone' => 'yes']);
    ($this->gone)([...$said, 'gone' => 'no'])->assertSessionHasErrors('gone');
    ($this->gone)([...$said, 'how' => ''])->assertSessionHasErrors('how');
    $serial === '' || ($this->gone)([...$said, 'copy_serial' => '0000'])->assertSessionHasErrors('copy_serial');
    expect($this->job->refresh()->backup_gone_at)->toBeNull();
    ($this->gone)($said)->assertRedirect('/deletions')->assertSessionHasNoErrors();
    expect($this->job->refresh()->backup_gone_at)->not->toBeNull()
        ->and($this->job->status)->toBe('handed-over')
        ->and(LogRecord::query()->where('kind', 'copy-deleted')->sole()->data['evidence']['how'])->toBe('overwritten')
        ->and(BenchEvent::query()->where('kind', 'copy-deleted')->sole()->data['how'])->toBe('overwritten')
        ->and(Due::words())->toBe([]);
    $this->get('/deletions')->assertSee('is gone')->assertSee('No copy has to be deleted today.');
    ($this->gone)($said)->assertSessionHasErrors('gone');
    $this->get("/jobs/{$this->job->id}/log")->assertSee('copy of the files deleted');
});

it('keeps what was typed in the form that was refused', function () {
    ($this->hand)(now()->format('Y-m-d'));
    $this->from('/deletions')->followingRedirects()->post("/deletions/{$this->job->id}", [
        'of' => (string) $this->job->id, 'evidence' => ['how' => 'erased', 'gone' => 'no'],
    ])->assertSee('value="erased"', false)->assertSee('Delete what is left, and look once more.');
});

it('deletes nothing of a machine that is still here, and lets nobody in who only looks on', function () {
    ($this->gone)(['how' => 'deleted', 'gone' => 'yes'])->assertSessionHasErrors('gone');
    $this->post('/deletions/999999', ['evidence' => []])->assertNotFound();
    $this->actingAs($this->people['viewer']);
    $this->get('/deletions')->assertForbidden();
    ($this->hand)(now()->format('Y-m-d'));
    $this->get('/')->assertDontSee('Copies whose day has come');
});

it('sets the day when the machine is handed over', function () {
    $job = $this->jobFrom('fairlead-13', $this->people['lead']);
    layUpTo($job, $this->people['lead'], 'hand-over.give-back', 5);
    expect(Job::query()->find($job->id)->delete_by?->format('Y-m-d'))->toBe('2026-12-24');
});
