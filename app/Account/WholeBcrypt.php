<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Hashing\BcryptHasher;
use SensitiveParameter;

/** Bcrypt reads 72 bytes and lets the rest fall. This one hashes a password whole, however long it is. */
final class WholeBcrypt extends BcryptHasher
{
    /** @param  array<string, mixed>  $options */
    public function make(#[SensitiveParameter] $value, array $options = []): string
    {
        return parent::make(self::whole($value), $options);
    }

    /** @param  array<string, mixed>  $options */
    public function check(#[SensitiveParameter] $value, $hashedValue, array $options = []): bool
    {
        return parent::check(self::whole($value), $hashedValue, $options);
    }

    /** All of it in 64 bytes, none of them NUL. */
    private static function whole(string $value): string
    {
        return base64_encode(hash('sha384', $value, binary: true));
    }
}
