<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Day;

/** A candidate's cards of one exam. */
final readonly class CardsView
{
    /**
     * @param  int  $all  All there are.
     * @param  int  $due  Today, and overdue.
     * @param  string|null  $next  When the next one after today comes back.
     * @param  int  $found  That were looked for.
     * @param  list<CardView>  $cards  The longest due first.
     */
    public function __construct(
        public string $exam,
        public string $examName,
        #[Day] public string $today,
        public int $all,
        public int $due,
        public int $suspended,
        #[Day] public ?string $next,
        public int $found,
        public int $page,
        public int $pages,
        public array $cards,
    ) {
    }
}
