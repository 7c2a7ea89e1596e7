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
            // Writers queue for up to fifteen seconds before they give up.
            'busy_timeout' => 15_000,
            // FULL: a commit is on the disk before it is acknowledged, so that an answer survives not only a killed
            // server but a power cut. NORMAL would be faster and may lose the last commits of a WAL. Answers are few
            // and small; the bulk loaders turn it down for themselves.
            'synchronous' => 'FULL',
            // Every transaction here writes, and takes the lock at once: see App\Database\ImmediatePdo.
            'transaction_mode' => 'IMMEDIATE',
            'pragmas' => [
                // Pages are read where the operating system has them, not copied anew for every request.
                'mmap_size' => 4 * 1024 ** 3,
                'cache_size' => -32_000,
                'temp_store' => 'memory',
            ],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
];
