<?php

return [
    'paths' => [resource_path('views')],
    'compiled' => env('VIEW_COMPILED_PATH', storage_path('framework/views')),
    // bin/start compiles every view; looking at each file's time again on every page costs more than the page.
    'check_cache_timestamps' => env('APP_ENV') !== 'production',
];
