<?php

declare(strict_types=1);

namespace App\Account;

final readonly class UserView
{
    /** @param  string  $extraTime  Factor of every time limit, such as 1.25. */
    public function __construct(
        public string $name,
        public string $email,
        public Role $role,
        public string $extraTime,
    ) {
    }

    public static function of(User $user): self
    {
        return new self(name: $user->name, email: $user->email, role: $user->role, extraTime: $user->extra_time);
    }
}
