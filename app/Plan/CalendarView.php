<?php

declare(strict_types=1);

namespace App\Plan;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'PlanCalendar')]
final readonly class CalendarView
{
    public function __construct(#[OA\Property(description: 'iCalendar (RFC 5545).')] public string $text)
    {
    }
}
