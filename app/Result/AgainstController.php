<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Sitting\Closing;
use App\Sitting\Sitting;
use Illuminate\Http\JsonResponse;

final readonly class AgainstController
{
    public function __construct(private Closing $closing, private AgainstReader $against)
    {
    }

    #[Operation('Hold two results together', returns: AgainstView::class)]
    public function show(Sitting $sitting, Sitting $other): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);
        $this->closing->refuseUntilHandedIn($other);
        if ($sitting->is($other)) {
            throw Refusal::unmet('same', 'Choose two tests that are not the same.');
        }
        if ($sitting->exam_id !== $other->exam_id) {
            throw Refusal::unmet('other_exam', 'The two tests are of different exams.');
        }

        return new JsonResponse($this->against->of($sitting, $other));
    }
}
