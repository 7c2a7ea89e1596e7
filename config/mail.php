<?php

declare(strict_types=1);

// Without settings letters go to storage/logs/mail.log, the stand-in for a mail service. With MAIL_MAILER=smtp they go
// to the server that the other settings name.
return [
    'default' => env('MAIL_MAILER', 'log'),
    'mailers' => [
        'log' => ['transport' => 'log', 'channel' => 'mail'],
        'array' => ['transport' => 'array'],
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME'),
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => (int) env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 20,
            'local_domain' => parse_url((string) env('APP_URL', 'http://localhost'), PHP_URL_HOST),
        ],
        'sendmail' => ['transport' => 'sendmail', 'path' => env('MAIL_SENDMAIL_PATH', '/usr/sbin/sendmail -bs -i')],
    ],
    'from' => [
        'address' => env('MAIL_FROM_ADDRESS', 'uplandia@corvane.example'),
        'name' => env('MAIL_FROM_NAME', 'Uplandia'),
    ],
];
