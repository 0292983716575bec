<?php

return [
    // Folder of the demo world, or of the shop's own catalogue.
    'catalogue' => env('COBBLESTONE_CATALOGUE', base_path('catalogue')),

    // Where the bench stands: times on screen are its local times.
    'timezone' => env('COBBLESTONE_TIMEZONE', 'Europe/Lisbon'),
];
