<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Refusal;
use Illuminate\Auth\Passwords\PasswordBroker;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use SensitiveParameter;

/** Links with which a forgotten password is set anew: each works once, however many use it at the same time. */
final class ResetLinks
{
    /** @throws Refusal when it has been used, or its time is over */
    public function use(
        string $email,
        #[SensitiveParameter]
        string $token,
        #[SensitiveParameter]
        string $password,
    ): void {
        $broker = Password::broker();
        assert($broker instanceof PasswordBroker);
        $user = $broker->getUser(['email' => $email]);
        $kept = DB::table('password_reset_tokens')->where('email', $email)->value('token');
        // What is slow is done before the lock; under it, only the one who takes the link away has used it.
        $fits = $user instanceof User && is_string($kept) && $broker->tokenExists($user, $token);
        $used = $fits && DB::transaction(function () use ($user, $email, $kept, $password): bool {
            $mine = DB::table('password_reset_tokens')->where('email', $email)->where('token', $kept)->delete() === 1;
            if ($mine) {
                $user->forceFill(['password' => $password, 'remember_token' => null])->save();
            }

            return $mine;
        });
        if (! $used) {
            throw Refusal::unmet(
                'stale_link',
                'This link has been used or is more than an hour old. Ask for a new one.',
            );
        }
    }
}
