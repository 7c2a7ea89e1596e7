<?php

declare(strict_types=1);

namespace App\Http\Contract;

/** Why something could not be done, in words a person can act on. */
final readonly class ProblemView
{
    /**
     * @param  string|null  $reason  A word for programs, such as open_elsewhere.
     * @param  array<string, list<string>>|\stdClass  $fields  What is wrong with each.
     */
    public function __construct(
        public string $message,
        public ?string $reason = null,
        #[MapOf('list<string>')] public object|array $fields = new \stdClass(),
    ) {
    }
}
