<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => 60 * 24 * 14,
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    'cookie' => 'uplandia_session',
    'path' => '/',
    'domain' => null,
    // Behind HTTPS the cookie never travels in the clear; the local demo is plain HTTP.
    'secure' => env('SESSION_SECURE_COOKIE', str_starts_with((string) env('APP_URL', ''), 'https://')),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
