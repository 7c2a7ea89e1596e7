<?php

declare(strict_types=1);

return [
    'driver' => 'whole_bcrypt',
    'bcrypt' => ['rounds' => (int) env('BCRYPT_ROUNDS', 12), 'verify' => true],
    'rehash_on_login' => true,
];
