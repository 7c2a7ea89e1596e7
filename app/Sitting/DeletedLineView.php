<?php

declare(strict_types=1);

namespace App\Sitting;

/** A sitting that is deleted and can come back. */
final readonly class DeletedLineView
{
    public function __construct(
        public string $id,
        public string $name,
        public int $until,
    ) {
    }
}
