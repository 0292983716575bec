<?php

return [
    // App\Account\SessionTable: the framework's table, written only when there is something to write.
    'driver' => env('SESSION_DRIVER', 'bench'),
    'lifetime' => 720,
    'expire_on_close' => false,
    'encrypt' => false,
    'table' => 'sessions',
    'lottery' => [1, 200],
    'cookie' => 'cobblestone_session',
    'path' => '/',
    'domain' => null,
    // Behind a proxy that speaks TLS the cookie never travels in clear.
    'secure' => str_starts_with((string) env('APP_URL'), 'https://'),
    'http_only' => true,
    'same_site' => 'lax',
];
