<?php

use App\Actions\LogBook;
use Cobblestone\Runbook\EntryKind;

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['viewer']);
    $this->job = $this->jobFrom('fairlead-13', $this->people['lead']);
    $this->write = fn (EntryKind $kind, ?string $step, array $data) => app(LogBook::class)
        ->write($this->job, $this->people['evening'], $kind, $step, $data);
});

it('gives a job\'s log as rows and as a document', function () {
    ($this->write)(EntryKind::Note, 'intake.take-in', ['text' => '=2+2, "so"']);
    $rows = explode("\n", trim((string) $this->get("/jobs/{$this->job->id}/log.csv")->assertOk()->getContent()));
    expect($rows[0])->toBe('at,job,title,by,role,what,details')
        ->and(count($rows))->toBe(3)
        ->and(str_getcsv($rows[2], ',', '"', '')[6])->toBe("'=2+2, \"so\"")
        ->and(str_getcsv($rows[2], ',', '"', '')[3])->toBe('evening technician');
    $said = $this->get("/jobs/{$this->job->id}/log.json")->assertOk()->json();
    expect(array_column($said, 'kind'))->toBe(['created', 'note'])
        ->and($said[1]['data']['text'])->toBe('=2+2, "so"');
    $this->get("/jobs/{$this->job->id}/log")->assertSee('log.csv');
});

it('gives the days of a job as a calendar that other programs read', function () {
    $at = "/jobs/{$this->job->id}/dates.ics";
    $this->get($at)->assertNotFound();
    ($this->write)(EntryKind::Done, 'hand-over.give-back', ['evidence' => ['delete_by' => '2026-12-24']]);
    $text = (string) $this->get($at)->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
        ->getContent();
    expect($text)->toStartWith("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n")
        ->toContain("DTSTART;VALUE=DATE:20261224\r\n")
        ->toContain("UID:job-{$this->job->id}-copy@cobblestone.invalid\r\n")
        ->toEndWith("END:VCALENDAR\r\n");
    foreach (explode("\r\n", $text) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75);
    }
    // Unfolded, every comma of a text is marked.
    expect(str_replace("\r\n ", '', $text))->toContain('SUMMARY:The bench deletes its copy of the files of Norrel');
    $this->get("/jobs/{$this->job->id}/handover")->assertSee('Dates for a calendar');
});

it('gives a month of the logbook, and no month that is none', function () {
    $month = now(config('cobblestone.timezone'))->format('Y-m');
    $rows = fn (string $query): int => substr_count(
        (string) $this->get("/logbook.csv{$query}")->assertOk()->getContent(),
        "\n",
    );
    expect($rows(''))->toBe(2)->and($rows("?month={$month}"))->toBe(2)->and($rows('?month=2020-02'))->toBe(1);
    $this->get('/logbook.csv?month=2026-13')->assertNotFound();
    $this->get('/logbook.csv?month=x')->assertNotFound();
    $this->get('/logbook')->assertSee('A month of it as CSV');
});

it('folds long lines between signs', function () {
    $text = App\Http\Calendar::of('x.ics', 'job-1', [
        new Cobblestone\Handover\HandoverDate('a', '2026-12-24', str_repeat('ä,', 90), "b;\nc\\"),
    ])->getContent();
    foreach (explode("\r\n", (string) $text) as $line) {
        expect(strlen($line))->toBeLessThanOrEqual(75)->and(mb_check_encoding($line, 'UTF-8'))->toBeTrue();
    }
    expect(str_replace("\r\n ", '', (string) $text))->toContain('SUMMARY:'.str_repeat('ä\\,', 90))
        ->toContain('DESCRIPTION:b\\;\\nc\\\\');
});
