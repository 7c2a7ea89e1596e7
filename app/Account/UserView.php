<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'User')]
final readonly class UserView
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $email,
        #[OA\Property(enum: Role::class)] public Role $role,
        #[OA\Property(description: 'Factor of every time limit, such as 1.25.')] public string $extraTime,
    ) {
    }

    public static function of(User $user): self
    {
        return new self(name: $user->name, email: $user->email, role: $user->role, extraTime: $user->extra_time);
    }
}
