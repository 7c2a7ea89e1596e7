<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Password;

/** The letter to whoever has forgotten their password, if there is such an account. */
final class SendNewPassword implements ShouldQueue
{
    use Queueable;
    use TriesForADay;

    public function __construct(private readonly string $email)
    {
    }

    public function handle(): void
    {
        Password::sendResetLink(['email' => $this->email]);
    }
}
