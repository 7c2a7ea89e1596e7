<?php

declare(strict_types=1);

namespace App\Insight;

use App\Http\Contract\Get;
use App\Http\Refusal;
use App\Sitting\Sitting;
use App\Sitting\Sittings;
use Illuminate\Http\JsonResponse;

final class InsightController
{
    public function __construct(private readonly Sittings $sittings)
    {
    }

    #[Get('/api/sittings/{sitting}/insight', 'Read what a result tells', returns: InsightView::class)]
    public function show(Sitting $sitting, Reading $reading): JsonResponse
    {
        $this->sittings->settleIfOver($sitting);
        if (! $sitting->isHandedIn()) {
            throw Refusal::notHandedIn();
        }

        return new JsonResponse($reading->of($sitting));
    }
}
