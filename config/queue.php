<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // Letters wait here until they are sent; `./uplandia demo` runs what sends them.
        'database' => [
            'driver' => 'database',
            'table' => 'jobs',
            'queue' => 'default',
            'retry_after' => 90,
            'after_commit' => true,
        ],
    ],
    'failed' => ['driver' => 'database', 'database' => 'sqlite', 'table' => 'failed_jobs'],
];
