<?php

use Tests\Browser\BrowserTestCase;
use Tests\Support\EmptiedTables;
use Tests\Support\FreshTables;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(FreshTables::class)->in('App');
pest()->extend(BrowserTestCase::class)->use(EmptiedTables::class)->in('Browser');
