<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Account\User;
use Illuminate\Auth\Access\Response;

/** A card is its candidate's alone; to everybody else it does not exist. */
final class CardPolicy
{
    public function use(User $user, Card $card): Response
    {
        return $card->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
