<?php

use Illuminate\Foundation\Testing\DatabaseTruncation;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Browser\BrowserTestCase;
use Tests\TestCase;

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('App');
pest()->extend(BrowserTestCase::class)->use(DatabaseTruncation::class)->in('Browser');
