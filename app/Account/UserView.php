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
        #[OA\Property(enum: ['candidate', 'author', 'administrator'])] public string $role,
        #[OA\Property(description: 'Factor of every time limit, such as 1.25.')] public string $extraTime,
    ) {
    }

    public static function of(User $user): self
    {
        return new self($user->name, $user->email, $user->role->value, $user->extra_time);
    }
}
