<?php

namespace Tests\Support;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use PDO;

/**
 * RefreshDatabase as the tables' owner: the application's own role can neither make nor empty tables. The connection is
 * handed on from test to test: to sign in anew costs the database a process and both sides a proof of the password.
 */
trait FreshTables
{
    use RefreshDatabase;

    /** @return array<string, mixed> */
    protected function migrateFreshUsing()
    {
        return ['--database' => 'owner'];
    }

    /** What the framework does with a database in memory: its connection is kept when a test ends. */
    protected function usingInMemoryDatabase(?string $name = null): bool
    {
        return true;
    }

    /** A connection that a test left within a transaction is not handed on. */
    protected function beforeRefreshingDatabase(): void
    {
        RefreshDatabaseState::$inMemoryConnections = array_filter(
            RefreshDatabaseState::$inMemoryConnections,
            static fn (PDO $kept): bool => ! $kept->inTransaction(),
        );
    }
}
