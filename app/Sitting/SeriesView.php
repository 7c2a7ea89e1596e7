<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Named;

/** Fixed tests in an author's order. */
#[Named('SeriesOfTests')]
final readonly class SeriesView
{
    /** @param  list<SeriesTestView>  $tests */
    public function __construct(
        public string $code,
        public string $title,
        public string $about,
        public array $tests,
    ) {
    }
}
