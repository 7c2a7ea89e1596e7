<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use Illuminate\Auth\Access\Response;

/** A sitting is its candidate's alone; to everybody else it does not exist. */
final class SittingPolicy
{
    public function sit(User $user, Sitting $sitting): Response
    {
        return $sitting->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
