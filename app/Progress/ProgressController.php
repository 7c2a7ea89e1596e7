<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Contract\Operation;
use App\Question\Candidacy;
use Illuminate\Http\JsonResponse;

final readonly class ProgressController
{
    public function __construct(private ProgressReader $progress)
    {
    }

    #[Operation('How far I have come', returns: ProgressView::class)]
    public function show(Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->progress->of($candidacy));
    }
}
