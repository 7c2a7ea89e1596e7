<?php

declare(strict_types=1);

namespace Tests\Feature\Account;

use Illuminate\Hashing\BcryptHasher;

/** Counts the work that it is asked to do. */
final class CountingHasher extends BcryptHasher
{
    public int $used = 0;

    /** @param  array<string, mixed>  $options */
    public function make($value, array $options = []): string
    {
        $this->used++;

        return parent::make($value, $options);
    }

    /** @param  array<string, mixed>  $options */
    public function check($value, $hashedValue, array $options = []): bool
    {
        $this->used++;

        return parent::check($value, $hashedValue, $options);
    }
}
