<?php

use App\Models\ShelfFile;
use Cobblestone\Media\Build\AnswerText;
use Cobblestone\Media\Build\PlanFault;
use Cobblestone\Media\Build\Script\GuardedScript;
use Cobblestone\Media\Build\StickPlan;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Scheme;
use Tests\Support\Workshop;

beforeEach(fn () => $this->shop = new Workshop);

afterEach(fn () => $this->shop->clear());

const ANSWERS = "<a>\$HOME `id` \"quotes\" 'too' \\ €</a>\n\nEND\n";

it('carries a file of answers, proves it by reading it back, and makes the same stick by script', function () {
    $file = $this->shop->image('plain.iso');
    $answers = new AnswerText('quay/first start.xml', ANSWERS);
    $stick = $this->shop->stick(900_000_000);
    $plan = $this->shop->plan($file, $stick, answers: $answers);
    $again = StickPlan::fromArray(json_decode(json_encode($plan->toArray(), JSON_THROW_ON_ERROR), true));
    expect($again->toArray())->toBe($plan->toArray());
    $result = $this->shop->build($again, $stick, $file);
    $off = takenOff($plan, $stick->path(), "{$this->shop->folder}/off");
    expect(file_get_contents("{$off}/quay/first start.xml"))->toBe(ANSWERS)
        ->and($result->sums['quay/first start.xml'])->toBe(hash('sha256', ANSWERS));
    file_put_contents($script = "{$this->shop->folder}/make-stick.sh", GuardedScript::of($plan));
    expect(Workshop::says('shellcheck', '--severity=style', $script))->toBe('');
    $other = $this->shop->stick(900_000_000, 'other.img');
    expect(Workshop::says('bash', $script, '--image', $file, '--on', $other->path(), '--write'))
        ->toContain('Done: every byte was read back');
    $byScript = takenOff($plan, $other->path(), "{$this->shop->folder}/script");
    expect(file_get_contents("{$byScript}/quay/first start.xml"))->toBe(ANSWERS);
});

it('refuses answers where they cannot stand', function () {
    $stick = $this->shop->stick(900_000_000);
    $plain = $this->shop->image('plain.iso');
    $taken = strtolower($this->shop->plan($plain, $stick)->files[0]->path);
    expect(fn () => $this->shop->plan($plain, $stick, answers: new AnswerText($taken, 'x')))
        ->toThrow(PlanFault::class, 'already')
        ->and(fn () => $this->shop->plan(
            $this->shop->image('disk.img.xz'),
            $stick,
            WriteMode::Raw,
            Scheme::Mbr,
            answers: new AnswerText('a.xml', 'x'),
        ))
        ->toThrow(PlanFault::class, 'by hand');
    $plan = $this->shop->plan($plain, $stick, answers: new AnswerText('a.xml', 'words'))->toArray();
    $at = array_search('answers', array_column($plan['files'], 'from'), true);
    $plan['files'][$at]['text'] = 'other';
    expect(StickPlan::fromArray($plan)->files[$at]->text)->toBe('other');
    $plan['files'][$at]['text'] = 'longer than it says';
    expect(fn () => StickPlan::fromArray($plan))->toThrow(PlanFault::class, 'not as long as the plan says');
});

it('offers the answers of open jobs of the image\'s system on the page of ways', function () {
    $people = $this->bench();
    $this->actingAs($people['lead']);
    $job = $this->jobFrom('fairlead-13', $people['lead']);
    $this->shop->image('plain.iso');
    $row = ShelfFile::query()->create([
        'name' => 'plain.iso', 'bytes' => 1, 'changed_at' => 1, 'about' => ['line' => 'Tansy Desktop 7'],
    ]);
    expect(App\Bridge\JobsOfSystem::of('Tansy Desktop 7'))->toBe([$job->id => "{$job->title}, QF-01"])
        ->and(App\Bridge\JobsOfSystem::of('Skerry Rolling'))->toBe([])
        ->and(App\Bridge\JobsOfSystem::of(''))->toBe([]);
    $row->delete();
});
