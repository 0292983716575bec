<?php

use Tests\Browser\BrowserTestCase;
use Tests\Support\EmptiedTables;
use Tests\Support\FreshTables;
use Tests\TestCase;

// Lanes that run beside each other have a database each, and locks, sticks and files of their own; none of them touches
// what the bench of this checkout keeps.
$lane = dirname(__DIR__).'/var/test/lane-'.(getenv('DB_DATABASE') ?: 'alone');
foreach (['state', 'shelf', 'sticks', 'drivers', 'packages', 'photos', 'publisher', 'signers'] as $of) {
    is_dir("{$lane}/{$of}") || mkdir("{$lane}/{$of}", 0700, true);
    $name = 'COBBLESTONE_'.strtoupper($of);
    putenv("{$name}={$lane}/{$of}");
    $_ENV[$name] = $_SERVER[$name] = "{$lane}/{$of}";
}

pest()->extend(TestCase::class)->use(FreshTables::class)->in('App', 'Tools');
pest()->extend(BrowserTestCase::class)->use(EmptiedTables::class)->in('Browser', 'Walks');
