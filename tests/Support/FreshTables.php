<?php

namespace Tests\Support;

use Illuminate\Foundation\Testing\RefreshDatabase;

/** RefreshDatabase as the tables' owner: the application's own role can neither make nor empty tables. */
trait FreshTables
{
    use RefreshDatabase;

    /** @return array<string, mixed> */
    protected function migrateFreshUsing()
    {
        return ['--database' => 'owner'];
    }
}
