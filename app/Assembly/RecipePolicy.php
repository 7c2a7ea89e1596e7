<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use Illuminate\Auth\Access\Response;

/** To everybody but who keeps it, a recipe does not exist. */
final class RecipePolicy
{
    public function use(User $user, SavedRecipe $recipe): Response
    {
        $own = $recipe->user_id === $user->id && $recipe->name !== null;

        return $own ? Response::allow() : Response::denyAsNotFound();
    }

    /** Also one that was never kept under a name can be run again. */
    public function run(User $user, SavedRecipe $recipe): Response
    {
        return $recipe->user_id === $user->id ? Response::allow() : Response::denyAsNotFound();
    }
}
