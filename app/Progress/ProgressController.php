<?php

declare(strict_types=1);

namespace App\Progress;

use App\Account\User;
use App\Http\Contract\Operation;
use App\Question\Exam;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final readonly class ProgressController
{
    public function __construct(private ProgressReader $progress)
    {
    }

    #[Operation('How far I have come', returns: ProgressView::class)]
    public function show(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->progress->of($exam, $user));
    }
}
