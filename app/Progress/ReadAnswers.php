<?php

declare(strict_types=1);

namespace App\Progress;

use Uplandia\Core\Progress\Response;

/** What was read of a candidate's answers. */
final readonly class ReadAnswers
{
    /**
     * @param  list<Response>  $responses  the independent ones
     * @param  list<int|null>  $at  when each of them was given, Unix milliseconds; null: it was left blank
     * @param  list<int>  $moments  of all answers, independent or not, Unix milliseconds, in no order
     */
    public function __construct(public array $responses, public array $at, public array $moments)
    {
    }
}
