<?php

declare(strict_types=1);

namespace App\Account;

/** Who is signed in, and, in the demo only, who one may sign in as. */
final readonly class SessionView
{
    /**
     * @param  list<DemoPersonView>  $people
     * @param  int  $now  The server's clock, Unix milliseconds.
     */
    public function __construct(
        public ?UserView $user,
        public array $people,
        public int $now,
    ) {
    }
}
