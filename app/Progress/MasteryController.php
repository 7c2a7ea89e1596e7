<?php

declare(strict_types=1);

namespace App\Progress;

use App\Account\User;
use App\Http\Contract\Operation;
use App\Question\Exam;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final readonly class MasteryController
{
    public function __construct(private KeptEstimates $kept)
    {
    }

    #[Operation('Where I stand in each topic', returns: MasteriesView::class)]
    public function show(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(
            new MasteriesView(
                cut: (float) $exam->rules['cut'],
                topics: array_map(
                    fn (array $topic): MasteryView => new MasteryView(
                        code: $topic['code'],
                        share: $topic['share'],
                        low: $topic['low'],
                        high: $topic['high'],
                        responses: $topic['responses'],
                    ),
                    $this->kept->of($exam, $user)['stands']['topics'],
                ),
            ),
        );
    }
}
