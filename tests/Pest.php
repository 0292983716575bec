<?php

use Tests\Browser\BrowserTestCase;
use Tests\Support\EmptiedTables;
use Tests\Support\FreshTables;
use Tests\TestCase;

// Lanes that run beside each other have a database each, and locks and sticks of their own.
$state = 'var/test/state-'.(getenv('DB_DATABASE') ?: 'alone');
putenv("COBBLESTONE_STATE={$state}");
$_ENV['COBBLESTONE_STATE'] = $_SERVER['COBBLESTONE_STATE'] = $state;

pest()->extend(TestCase::class)->use(FreshTables::class)->in('App', 'Tools');
pest()->extend(BrowserTestCase::class)->use(EmptiedTables::class)->in('Browser', 'Walks');
