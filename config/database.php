<?php

declare(strict_types=1);

return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', database_path('uplandia.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // Readers never wait for the writer, and the writer never for readers.
            'journal_mode' => 'wal',
            // Writers queue for up to five seconds before they give up.
            'busy_timeout' => 5000,
            // FULL: a commit is on the disk before it is acknowledged, so that an answer survives not only a killed
            // server but a power cut. NORMAL would be faster and may lose the last commits of a WAL. Answers are few
            // and small; the bulk loaders turn it down for themselves.
            'synchronous' => 'FULL',
            // Every transaction here writes: taking the lock at once avoids a read lock that cannot be upgraded.
            'transaction_mode' => 'IMMEDIATE',
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
