<?php

declare(strict_types=1);

namespace App\MyData;

/** What an archive brought. */
final readonly class TakenInView
{
    /** @param  list<string>  $exams  by name */
    public function __construct(
        public array $exams,
        public int $sittings,
        public int $cards,
        public int $notes,
    ) {
    }
}
