<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\MapOf;
use Uplandia\Core\Marking\Outcome;

/** A response of which a candidate asked, in tutor mode, whether it is right. The first one counts. */
final readonly class TryView
{
    public function __construct(
        #[MapOf('mixed')] public object $response,
        public Outcome $outcome,
    ) {
    }
}
