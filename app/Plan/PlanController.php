<?php

declare(strict_types=1);

namespace App\Plan;

use App\Http\Contract\Operation;
use App\Question\Candidacy;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

final readonly class PlanController
{
    public function __construct(private PlanReader $reader, private Calendar $calendar)
    {
    }

    #[Operation('The weeks up to the exam', returns: PlanView::class)]
    public function show(Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->reader->of($candidacy));
    }

    #[Operation('Say how much time there is')]
    public function keep(PlanRequest $request, Candidacy $candidacy): Response
    {
        PlanHours::keep(
            candidacy: $candidacy,
            week: $request->float('hoursWeek'),
            weekdaysOff: array_values(array_filter($request->array('weekdaysOff'), is_int(...))),
            datesOff: array_values(array_filter($request->array('datesOff'), is_string(...))),
        );
        ThisWeek::forget($candidacy);

        return response()->noContent();
    }

    #[Operation('Take the plan away as a calendar', returns: CalendarView::class)]
    public function calendar(Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse(new CalendarView($this->calendar->of($this->reader->of($candidacy))));
    }
}
