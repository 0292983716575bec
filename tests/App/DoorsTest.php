<?php

use App\Actions\OpenJob;
use App\View\DoorLink;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Runbook\Door;
use Cobblestone\Runbook\OpensBy;
use Cobblestone\Runbook\Plan;
use Illuminate\Validation\ValidationException;
use Tests\Support\RandomBrief;

// Every question closes, every stop has a door: over HTTP, for briefs by chance of all kinds (rule U4).

beforeEach(function () {
    $this->people = $this->bench();
    $this->actingAs($this->people['lead']);
});

/** An answer as the question's own hint gives it: one that is typed has one. */
function answerTo(Cobblestone\Runbook\Question $question): string
{
    if ($question->options !== []) {
        return (string) array_key_first($question->options);
    }

    return preg_match('/such as "([^"]+)"|as "([^"]+)"/i', $question->text, $hint) === 1
        ? $hint[count($hint) - 1]
        : throw new LogicException("{$question->fact} is typed, and its question does not show how: {$question->text}");
}

/** What the page of a job has under that name. */
function hasField(string $page, string $name): bool
{
    return str_contains(html_entity_decode($page), "name=\"{$name}\"");
}

it('closes every question by what it offers or hints, and leads from every stop to its field', function (int $from) {
    $wrong = [];
    for ($seed = $from; $seed < $from + 8; $seed++) {
        try {
            $job = app(OpenJob::class)->handle($this->people['lead'], RandomBrief::brief($seed));
        } catch (ValidationException|BriefFault|UnknownEntry) {
            continue;
        }
        for ($round = 0; $round < 14; $round++) {
            $plan = $job->refresh()->currentPlan()->typed();
            $asked = array_values(array_filter($plan->questions, fn ($one): bool => ! $one->isReading()));
            if ($asked === []) {
                break;
            }
            $facts = [];
            foreach ($asked as $question) {
                $facts[$question->fact] = answerTo($question);
            }
            $this->post("/jobs/{$job->id}/answers", ['seen' => $job->last_entry, 'facts' => $facts]);
            $said = session('errors')?->all() ?? [];
            $left = array_map(fn ($one): string => $one->fact, $job->refresh()->currentPlan()->typed()->questions);
            $kept = array_values(array_intersect(array_keys($facts), $left));
            if ($said !== [] || $kept !== []) {
                $wrong[] = "seed {$seed}: ".json_encode($facts).' leaves '.implode(', ', $kept).' '.implode(' ', $said);
                break;
            }
        }
        foreach (doorsOf($job->refresh()->currentPlan()->typed()) as $id => $door) {
            $link = new DoorLink($job->id, $door);
            if (in_array($door->by, [OpensBy::Nothing, OpensBy::Waiver, OpensBy::Step], true)) {
                continue;
            }
            $page = $link->href() === '' ? '' : (string) $this->get(strtok($link->href(), '#'))->getContent();
            $field = $link->field() ?? match ($door->by) {
                OpensBy::Reading => 'output',
                OpensBy::Answer => "facts[{$door->at}]",
                default => null,
            };
            if ($page === '' || ($field !== null && ! hasField($page, $field))) {
                $wrong[] = "seed {$seed}: {$id} leads to {$link->href()}, where there is no ".($field ?? 'page');
            }
        }
    }
    expect(implode("\n", $wrong))->toBe('');
})->with([0, 8, 16, 24, 32, 40])->group('properties');

/** @return array<string, Door> of every stop and assumption of a path */
function doorsOf(Plan $plan): array
{
    $doors = [];
    foreach ($plan->blockers as $blocker) {
        $doors["stop {$blocker->id}"] = $blocker->door;
    }
    foreach ($plan->assumed as $one) {
        $doors["assumed {$one->fact}"] = $one->door;
    }

    return $doors;
}

it('opens a stop by the press that stands beside it', function () {
    $job = $this->jobFrom('locked-capstan', $this->people['lead']);
    $plan = $job->currentPlan()->typed();
    $stop = array_column($plan->blockers, null, 'id')['supervisor-password'];
    $this->get("/jobs/{$job->id}")->assertSee($stop->door->does);
    $link = new DoorLink($job->id, $stop->door);
    expect($link->isPress())->toBeTrue();
    $this->post($link->to(), ['seen' => $job->last_entry, 'facts' => [
        'firmware.supervisor_password' => $stop->door->value,
    ]])->assertSessionHasNoErrors();
    $left = $job->refresh()->currentPlan()->typed()->blockers;
    expect(array_column($left, 'id'))->not->toContain('supervisor-password');
});

it('leads to another kind of job with that kind chosen', function () {
    $job = $this->jobFrom('factory-restore', $this->people['lead']);
    $this->post("/jobs/{$job->id}/answers", ['seen' => $job->last_entry, 'facts' => ['factory.image' => 'no']]);
    $stop = $job->refresh()->currentPlan()->typed()->blockers[0];
    $href = (new DoorLink($job->id, $stop->door))->href();
    expect($href)->toBe("/jobs/{$job->id}/intake?goal=clean-install#goal");
    $this->get($href)->assertOk()->assertSee('<option value="clean-install" selected', false);
    $this->get("/jobs/{$job->id}/intake?goal=no-such-kind")->assertOk();
});

it('takes a size as it is said, and refuses one that is none beside its field', function () {
    $job = $this->jobFrom('unknown-laptop', $this->people['lead']);
    $answer = fn (string $memory) => $this->post("/jobs/{$job->id}/answers", [
        'seen' => $job->refresh()->last_entry, 'facts' => ['memory_bytes' => $memory],
    ]);
    $answer('16 GiB')->assertSessionHasNoErrors();
    expect($job->refresh()->currentPlan()->typed()->fact('memory_bytes')?->int('value'))->toBe(17179869184);
    $answer('plenty')->assertSessionHasErrors('facts');
    expect($job->refresh()->currentPlan()->typed()->fact('memory_bytes')?->int('value'))->toBe(17179869184);
});
