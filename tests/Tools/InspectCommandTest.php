<?php

use Tests\Support\Images;
use Tests\Support\Workshop;

beforeEach(fn () => $this->shop = new Workshop);

afterEach(fn () => $this->shop->clear());

it('prints its findings, also as JSON, and says by its exit code what it found', function () {
    $this->artisan('cobblestone:inspect', ['file' => $this->shop->image('hybrid-gpt.iso')])
        ->expectsOutputToContain('Written raw:  Starts by UEFI on x86-64 and by legacy BIOS.')
        ->assertExitCode(0);
    Artisan::call('cobblestone:inspect', ['file' => $this->shop->image('hybrid-gpt.iso'), '--json' => true]);
    $json = json_decode(Artisan::output(), true);
    expect($json['kind'])->toBe('optical-hybrid')->and($json['verdict']['damaged'])->toBeFalse();
    file_put_contents($cut = "{$this->shop->folder}/cut.iso", substr(Images::bytes('plain.iso'), 0, 300_000));
    $this->artisan('cobblestone:inspect', ['file' => $cut])
        ->expectsOutputToContain('Damaged: The optical volume states')
        ->assertExitCode(2);
    $this->artisan('cobblestone:inspect', ['file' => '/nowhere.iso'])
        ->expectsOutputToContain('nowhere.iso cannot be opened for reading.')
        ->assertExitCode(1);
    $this->artisan('cobblestone:inspect', ['file' => $this->shop->folder])->assertExitCode(1);
    touch($empty = "{$this->shop->folder}/empty.iso");
    $this->artisan('cobblestone:inspect', ['file' => $empty])
        ->expectsOutputToContain('Damaged: The file is empty.')
        ->assertExitCode(2);
});

it('plans, builds, exports and checks from the command line', function () {
    $image = $this->shop->image('plain.iso');
    $plan = "{$this->shop->folder}/plan.json";
    $stick = "{$this->shop->folder}/stick.img";
    $this->artisan('cobblestone:stick', [
        'action' => 'plan',
        'subject' => $image,
        '--size' => '300000256',
        '--out' => $plan,
    ])
        ->assertExitCode(0);
    $this->artisan('cobblestone:stick', [
        'action' => 'build',
        'subject' => $plan,
        '--on' => $stick,
        '--out' => "{$this->shop->folder}/SUMS",
    ])
        ->expectsOutputToContain('Good: 5 files')
        ->assertExitCode(0);
    expect((string) file_get_contents("{$this->shop->folder}/SUMS"))->toContain('payload/system.img');
    $this->artisan('cobblestone:stick', [
        'action' => 'script',
        'subject' => $plan,
        '--out' => $script = "{$this->shop->folder}/x.sh",
    ])
        ->assertExitCode(0);
    expect((string) file_get_contents($script))->toStartWith('#!/usr/bin/env bash');
    Artisan::call('cobblestone:stick', ['action' => 'table', 'subject' => $plan]);
    expect(Artisan::output())->toContain('label: gpt');
    $this->artisan('cobblestone:stick', ['action' => 'what', 'subject' => $stick])
        ->expectsOutputToContain('A raw disk image, 300.0 MB, labelled "ORRIN 3".')
        ->assertExitCode(0);
    $this->artisan('cobblestone:stick', ['action' => 'check', 'subject' => $stick])
        ->expectsOutputToContain('hold what was written to them')
        ->assertExitCode(0);
    foreach (
        [
            ['action' => 'sideways'],
            ['action' => 'plan'],
            ['action' => 'plan', 'subject' => $image],
            ['action' => 'build', 'subject' => $script, '--on' => $stick],
            ['action' => 'build', 'subject' => $plan],
            ['action' => 'plan', 'subject' => $image, '--size' => '1 MB'],
            ['action' => 'plan', 'subject' => $image, '--size' => '300 MB', '--way' => 'raw'],
            ['action' => 'plan', 'subject' => $image, '--size' => '300 MB', '--scheme' => 'x'],
            ['action' => 'plan', 'subject' => $image, '--size' => '300 MB', '--parts' => ['x']],
        ] as $wrong
    ) {
        $this->artisan('cobblestone:stick', $wrong)->assertExitCode(1);
    }
});
