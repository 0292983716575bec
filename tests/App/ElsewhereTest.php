<?php

use App\Actions\ChangeBrief;
use App\Actions\ScanShelf;
use App\Bridge\StickRegister;
use App\Devices\Build\Fingerprint;
use App\Devices\Inspection\FileSource;
use App\Models\ShelfFile;
use App\Models\StickBuild;
use App\Models\StickEvent;
use App\Models\StickState;
use Cobblestone\Media\Build\StickCondition;
use Tests\Support\Images;
use Tests\Support\Workshop;

beforeEach(function () {
    $this->shop = new Workshop;
    $this->people = $this->bench();
    $this->actingAs($this->people['evening']);
    touch($this->shop->image('hybrid-gpt.iso'), time() - 60);
    app(ScanShelf::class)->handle();
    $this->file = ShelfFile::query()->sole();
    $this->file->update([
        'about' => ['line' => 'Skerry Rolling', 'version' => '2026.11'], 'published_sha256' => $this->file->sha256,
    ]);
    $this->page = "/shelf/{$this->file->id}/elsewhere";
    $this->asked = ['stick' => 'gull-32', 'way' => 'raw', 'host' => 'halden-one-28'];
    // What the other computer writes.
    $this->there = function (string $bytes): void {
        $stick = app(StickRegister::class)->device('gull-32');
        $stick->settle();
        $handle = fopen($stick->path(), 'r+b');
        fwrite($handle, $bytes);
        fclose($handle);
    };
});
afterEach(fn () => $this->shop->clear());

it('says what is done on another computer, in its own commands', function () {
    $this->get("{$this->page}?stick=gull-32&way=raw")->assertOk()->assertSee('And here again');
    $this->get("{$this->page}?".http_build_query($this->asked))
        ->assertOk()
        ->assertSee('seal drives')
        ->assertSee('sh make-stick.sh --image hybrid-gpt.iso --on block:3')
        ->assertSee('all that was written is compared with the image')
        ->assertDontSee('lsblk');
    $asked = http_build_query([...$this->asked, 'what' => 'make-stick.sh']);
    $script = $this->get("/shelf/{$this->file->id}/plan?{$asked}")
        ->assertOk()
        ->getContent();
    expect($script)->toStartWith('#!/bin/sh')->toContain('seal put "$drive"')->toContain("'GL32-5518-A9C2'");
    $this->get("{$this->page}?stick=gull-32&way=no-such")->assertNotFound();
    $this->get("{$this->page}?stick=no-such&way=raw")->assertNotFound();
    $plan = "/shelf/{$this->file->id}/plan?stick=gull-32&way=raw&what=make-stick.sh";
    $this->get("{$plan}&host=no-such")->assertNotFound();
});

it('stops where the tools there are older than the image, or cannot', function () {
    $this->file->update(['about' => ['line' => 'Tansy Desktop 7', 'version' => '7.2']]);
    $this->get("{$this->page}?stick=gull-32&way=raw&host=tansy-desktop-6")
        ->assertOk()
        ->assertSee('The newest Tansy Desktop 7')
        ->assertDontSee('prove it');
    $this->get("{$this->page}?stick=gull-32&way=copied-gpt&host=halden-one-28")
        ->assertOk()
        ->assertSee('copies files onto a new volume')
        ->assertDontSee('prove it');
    $this->from('/shelf')->get("/shelf/{$this->file->id}/plan?stick=gull-32&way=copied-gpt&host=halden-one-28&"
        .'what=make-stick.sh')
        ->assertSessionHasErrors('way');
});

it('proves here what was made there, without writing, and lays the stones of its job', function () {
    $job = $this->jobFrom('new-capstan', $this->people['evening']);
    ($this->there)(Images::bytes('hybrid-gpt.iso'));
    $path = app(StickRegister::class)->device('gull-32')->path();
    $mark = fn (): string => Fingerprint::of(new FileSource($path));
    $before = $mark();
    $this->post($this->page, [...$this->asked, 'job' => (string) $job->id])->assertRedirect();
    $build = StickBuild::query()->sole();
    $state = StickState::of('gull-32');
    expect($build->state)->toBe('done', (string) $build->fault)
        ->and($build->made_on)->toBe('halden-one-28')
        ->and($mark())->toBe($before)
        ->and($state->condition)->toBe(StickCondition::Good)
        ->and($state->content['made_on'])->toBe('a sealed desktop with Halden One 28')
        ->and(StickEvent::query()->where('slug', 'gull-32')->pluck('kind')->all())->toBe(['proven'])
        ->and($build->result)->toHaveKey('laid');
    $this->get("/sticks/gull-32/builds/{$build->id}")
        ->assertSee('Good: made elsewhere')
        ->assertSee('on another computer');
    $this->get('/sticks/gull-32')->assertSee('Made elsewhere and proven here');
    $register = app(StickRegister::class);
    expect($register->now()['gull-32']->writeMbS)->toBe($register->find('gull-32')?->writeMbS);
});

it('calls nothing good that is otherwise than planned, and leaves the stick as it was', function () {
    ($this->there)(substr_replace(Images::bytes('hybrid-gpt.iso'), 'X', 40_000, 1));
    $this->post($this->page, $this->asked)->assertRedirect();
    $build = StickBuild::query()->sole();
    expect($build->state)->toBe('failed')
        ->and($build->fault)->toContain('reads back differently')
        ->and(StickState::of('gull-32')->condition)->not->toBe(StickCondition::Good)
        ->and(StickState::of('gull-32')->condition)->not->toBe(StickCondition::Unfinished);
    $this->post($this->page, ['stick' => 'gull-32', 'way' => 'raw'])->assertSessionHasErrors('host');
    StickBuild::query()->create(['slug' => 'gull-32', 'plan' => ['title' => 'x'], 'state' => 'running']);
    $this->post($this->page, $this->asked)->assertSessionHasErrors('stick');
});

it('leads from a job to the script for the computer that it names', function () {
    $job = $this->jobFrom('new-capstan', $this->people['evening']);
    app(ChangeBrief::class)->handle(
        $job,
        $this->people['evening'],
        static fn (array $brief): array => [...$brief, 'host' => 'halden-one-28'],
        'it is made elsewhere',
        $job->last_entry,
    );
    expect($job->refresh()->currentPlan()->typed()->assessment->all()['medium']['host'])->toBe('halden-one-28');
    $this->get("/jobs/{$job->id}/stick")
        ->assertOk()
        ->assertSee('It is made on a sealed desktop with Halden One 28')
        ->assertSee('elsewhere?stick=');
    $this->get("/jobs/{$job->id}/intake")->assertSee('Where the stick is made');
});
