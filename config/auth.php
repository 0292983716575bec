<?php

return [
    'providers' => [
        // App\Account\PeopleProvider: people of the table users.
        'users' => ['driver' => 'bench'],
    ],
];
