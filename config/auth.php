<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users']],
    'providers' => [
        'users' => ['driver' => 'people', 'shared' => true],
        // Letters with new passwords go to nobody who is shared.
        'owners' => ['driver' => 'people', 'shared' => false],
    ],
    'passwords' => [
        'users' => ['provider' => 'owners', 'table' => 'password_reset_tokens', 'expire' => 60, 'throttle' => 60],
    ],
    // A door that does not open takes so long, in microseconds, whatever the reason.
    'timebox_duration' => (int) env('UPLANDIA_DOOR_US', 500_000),
    'password_timeout' => 10800,
];
