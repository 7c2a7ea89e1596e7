<?php

declare(strict_types=1);

namespace App\Http\Contract;

use Attribute;

/** What a route's method does, and what it answers. Where it stands, and what it takes, the routes and its types say. */
#[Attribute(Attribute::TARGET_METHOD)]
final readonly class Operation
{
    /**
     * @param  string  $summary  in the contract its name, too
     * @param  class-string|string|null  $returns  a view, or the type of a file; null: no content
     * @param  string|null  $file  type of the file that it takes
     */
    public function __construct(
        public string $summary,
        public ?string $returns = null,
        public int $status = 200,
        public ?string $file = null,
    ) {
    }
}
