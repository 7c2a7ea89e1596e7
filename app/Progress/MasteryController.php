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
        // Names may have changed since it was worked out.
        $names = array_column($candidacy->syllabus()->tops(), 'name', 'code');

        return new JsonResponse(
            new MasteriesView(
                cut: (float) $candidacy->exam->rules['cut'],
                topics: array_map(
                    fn (array $topic): MasteryView => new MasteryView(
                        code: $topic['code'],
                        name: $names[$topic['code']] ?? $topic['code'],
                        weight: $topic['weight'],
                        stake: $topic['stake'],
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
