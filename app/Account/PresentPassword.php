<?php

declare(strict_types=1);

namespace App\Account;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;

/** The password of whoever is signed in. Whoever guesses at it is slowed down as at the door. */
final readonly class PresentPassword implements ValidationRule
{
    public function __construct(private Request $request)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $user = $this->request->user();
        if (! is_string($value) || ! $user instanceof User) {
            return;
        }
        $slowDown = app(SlowDown::class);
        $place = (string) $this->request->ip();
        $slowDown->refuseTooSoon($user->email, $place);
        if (Hash::check($value, $user->password)) {
            $slowDown->right($user->email, $place);
        } else {
            $slowDown->wrong($user->email, $place);
            $fail('This is not the password you have now.');
        }
    }
}
