<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Clock\Moment;
use App\Http\Contract\Operation;
use App\Question\Candidacy;
use App\Question\Enrolment;
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
    public function show(Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->reader->of($candidacy));
    }

    #[Operation('Take part in the cohort, or stay out of it')]
    public function takePart(CohortRequest $request, Candidacy $candidacy): Response
    {
        $takesPart = $request->boolean('takesPart');
        Enrolment::takePart(
            user: $candidacy->user->id,
            exam: $candidacy->exam->id,
            takesPart: $takesPart,
            now: Moment::now($this->clock),
        );
        if (! $takesPart) {
            $this->marks->leave($candidacy->exam, $candidacy->user->id);
        }

        return response()->noContent();
    }
}
