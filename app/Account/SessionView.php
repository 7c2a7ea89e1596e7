<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

/** Who is signed in, and, in the demo only, who one may sign in as. */
#[OA\Schema(schema: 'Session')]
final readonly class SessionView
{
    /** @param  list<DemoPersonView>  $people */
    public function __construct(
        #[OA\Property(ref: UserView::class, nullable: true)] public ?UserView $user,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DemoPersonView::class))] public array $people,
        #[OA\Property(description: 'The server\'s clock, Unix milliseconds.')] public int $now,
    ) {
    }
}
