<?php

declare(strict_types=1);

namespace App\Plan;

use App\Http\Contract\Named;

#[Named('PlanCalendar')]
final readonly class CalendarView
{
    /** @param  string  $text  iCalendar (RFC 5545). */
    public function __construct(
        public string $text,
    ) {
    }
}
