<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Contract\Operation;
use App\Question\Candidacy;
use Illuminate\Http\JsonResponse;

final readonly class MasteryController
{
    public function __construct(private KeptEstimates $kept)
    {
    }

    #[Operation('Where I stand in each topic', returns: MasteriesView::class)]
    public function show(Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse(
            new MasteriesView(
                cut: (float) $candidacy->exam->rules['cut'],
                topics: array_map(
                    fn (array $topic): MasteryView => new MasteryView(
                        code: $topic['code'],
                        share: $topic['share'],
                        low: $topic['low'],
                        high: $topic['high'],
                        responses: $topic['responses'],
                    ),
                    $this->kept->of($candidacy)['stands']['topics'],
                ),
            ),
        );
    }
}
