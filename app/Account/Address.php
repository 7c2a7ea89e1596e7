<?php

declare(strict_types=1);

namespace App\Account;

/** E-mail addresses are the same in capitals and in small letters. */
final class Address
{
    public static function of(string $typed): string
    {
        return mb_strtolower(trim($typed));
    }
}
