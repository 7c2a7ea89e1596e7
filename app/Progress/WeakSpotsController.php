<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Contract\Operation;
use App\Question\Candidacy;
use App\Sitting\BuiltView;
use App\Sitting\Sitting;
use Illuminate\Http\JsonResponse;

final readonly class WeakSpotsController
{
    public function __construct(private WeakSpotTests $tests)
    {
    }

    #[Operation('Build a test of my weak spots', returns: BuiltView::class, status: 201)]
    public function store(WeakSpotsRequest $request, Candidacy $candidacy): JsonResponse
    {
        $test = $this->tests->build($candidacy, $request->integer('count'));

        return new JsonResponse(BuiltView::of(Sitting::createFor($test, $candidacy->user)), 201);
    }
}
