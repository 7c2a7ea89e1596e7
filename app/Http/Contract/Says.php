<?php

declare(strict_types=1);

namespace App\Http\Contract;

use Attribute;

/** What a field of a request means, and what of its shape its rules do not tell. */
#[Attribute(Attribute::TARGET_CLASS | Attribute::IS_REPEATABLE)]
final readonly class Says
{
    /**
     * @param  string|array<string, mixed>  $type  as in a docblock, or as JSON Schema has it
     * @param  bool  $needed  there must be one, though its rules leave that to the core
     */
    public function __construct(
        public string $field,
        public string $description = '',
        public string|array $type = [],
        public bool $needed = false,
    ) {
    }
}
