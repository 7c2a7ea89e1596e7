<?php

declare(strict_types=1);

namespace App\Account;

/** What the account forms say when something is amiss. */
final class Wording
{
    public const MESSAGES = [
        'name.required' => 'Tell us what to call you.',
        'name.max' => 'A name can have up to 80 letters.',
        'email.required' => 'Enter your e-mail address.',
        'email.email' => 'This does not look like an e-mail address. Check it for a slip.',
        'password.required' => 'Enter your password.',
        'password.min' => 'A password needs at least 10 characters. A short sentence is easy to remember.',
        'current_password.required' => 'Enter the password you have now.',
        'token.required' => 'This link is not complete. Ask for a new one.',
        'extraTime.in' => 'Extra time is 1, 1.25, 1.5 or 2 times the usual time.',
    ];
}
