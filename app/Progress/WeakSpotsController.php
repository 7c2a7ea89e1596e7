<?php

declare(strict_types=1);

namespace App\Progress;

use App\Account\User;
use App\Http\Contract\Operation;
use App\Question\Exam;
use App\Sitting\BuiltView;
use App\Sitting\Sitting;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

final readonly class WeakSpotsController
{
    public function __construct(private WeakSpotTests $tests)
    {
    }

    #[Operation('Build a test of my weak spots', returns: BuiltView::class, status: 201)]
    public function store(WeakSpotsRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $test = $this->tests->build($exam, $user, $request->integer('count'));

        return new JsonResponse(new BuiltView(Sitting::ready($test, $user)->id), 201);
    }
}
