<?php

declare(strict_types=1);

return [
    'default' => env('MAIL_MAILER', 'log'),
    'mailers' => [
        'log' => ['transport' => 'log', 'channel' => 'mail'],
        'array' => ['transport' => 'array'],
    ],
    'from' => ['address' => 'uplandia@corvane.example', 'name' => 'Uplandia'],
];
