<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Account\User;
use App\Clock\Moment;
use App\Http\Contract\Operation;
use App\Question\Enrolment;
use App\Question\Exam;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Psr\Clock\ClockInterface;

final readonly class CohortController
{
    public function __construct(
        private CohortReader $reader,
        private CohortMarks $marks,
        private ClockInterface $clock,
    ) {
    }

    #[Operation('Where I stand among others', returns: CohortView::class)]
    public function show(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->reader->of($exam, $user));
    }

    #[Operation('Take part in the cohort, or stay out of it')]
    public function takePart(CohortRequest $request, Exam $exam, #[CurrentUser] User $user): Response
    {
        $takesPart = $request->boolean('takesPart');
        Enrolment::takePart(
            user: $user->id,
            exam: $exam->id,
            takesPart: $takesPart,
            now: Moment::now($this->clock),
        );
        if (! $takesPart) {
            $this->marks->leave($exam, $user->id);
        }

        return response()->noContent();
    }
}
