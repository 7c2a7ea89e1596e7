<?php

declare(strict_types=1);

namespace App\Account;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A name is one line and no address: it stands on other people's screens, and in letters to its owner. */
final class PersonName implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (! is_string($value)) {
            return;
        }
        if (preg_match('/[\p{C}\p{Zl}\p{Zp}]/u', $value) === 1) {
            $fail('A name is one line of letters.');
        } elseif (preg_match('~[@<>]|//|\bwww\.|\w\.\p{L}{2,}~iu', $value) === 1) {
            $fail('A name holds no address: leave out links and mail addresses.');
        }
    }
}
