<?php

$connection = [
    'driver' => 'pgsql',
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '54320'),
    'database' => env('DB_DATABASE', 'cobblestone'),
    'username' => env('DB_USERNAME', 'cobblestone_app'),
    'password' => env('DB_PASSWORD', ''),
    'prefix' => '',
    'prefix_indexes' => true,
    'sslmode' => 'prefer',
    // Opening a connection costs more than a page: keep it open between requests.
    // One round trip for each query instead of prepare, execute and close; parameters still travel apart from the text.
    'options' => [PDO::ATTR_PERSISTENT => (bool) env('DB_PERSISTENT', false), PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
];

return [
    'default' => 'pgsql',
    'connections' => [
        // What the application works with: it can add to the log, and change nothing in it.
        'pgsql' => $connection,
        // Who makes and changes tables: bin/start and bin/test hand its password to the one command that migrates, and
        // to nothing that serves.
        'owner' => [
            'username' => env('DB_OWNER_USERNAME'),
            'password' => env('DB_OWNER_PASSWORD'),
            'options' => [PDO::PGSQL_ATTR_DISABLE_PREPARES => true],
        ] + $connection,
    ],
];
