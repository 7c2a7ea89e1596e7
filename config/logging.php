<?php

declare(strict_types=1);

use Monolog\Formatter\JsonFormatter;

return [
    'default' => env('LOG_CHANNEL', 'app'),
    'channels' => [
        // A disk that is full stops nobody from reading.
        'app' => ['driver' => 'stack', 'channels' => ['file'], 'ignore_exceptions' => true],
        // One JSON object a line. Request bodies are never logged, so neither are answers or passwords.
        'file' => [
            'driver' => 'single',
            'path' => storage_path('logs/uplandia.log'),
            'permission' => 0600,
            'level' => env('LOG_LEVEL', 'info'),
            'formatter' => JsonFormatter::class,
        ],
        // The stand-in for a mail service: "forgot my password" letters are written here.
        'mail' => ['driver' => 'single', 'path' => storage_path('logs/mail.log'), 'level' => 'debug', 'permission' => 0600],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
