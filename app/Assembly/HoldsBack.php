<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;

/** Knows which questions must not be met elsewhere yet, because a sitting with a clock still runs over them. */
interface HoldsBack
{
    /** @return list<int> question ids, all of their units with them */
    public function heldBack(User $user): array;
}
