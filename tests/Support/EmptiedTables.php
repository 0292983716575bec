<?php

namespace Tests\Support;

use Illuminate\Foundation\Testing\DatabaseTruncation;

/** DatabaseTruncation as the tables' owner: the application's own role can neither make nor empty tables. */
trait EmptiedTables
{
    use DatabaseTruncation;

    /** @var list<string> the application's role cannot empty a table */
    protected array $connectionsToTruncate = ['owner'];

    /** @return array<string, mixed> */
    protected function migrateFreshUsing()
    {
        return ['--database' => 'owner'];
    }
}
