<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Assembly\TestName;
use App\Http\Contract\Operation;
use App\Question\Candidacy;
use App\Sitting\BuiltView;
use App\Sitting\QuickTest;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Assembly\Filter\PickFilter;
use Uplandia\Core\Assembly\Filters;

final readonly class GapBookController
{
    /** As many as one drills at a time. */
    private const DRILL = 20;

    public function __construct(private GapReader $gaps, private QuickTest $quick)
    {
    }

    #[Operation('Read my gap book', returns: GapBookView::class)]
    public function index(GapsRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->gaps->of(
            candidacy: $candidacy,
            wanted: $request->wanted(),
            page: $request->integer('page'),
        ));
    }

    #[Operation('Print a study sheet of my gaps', returns: GapBookView::class)]
    public function sheet(GapsRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->gaps->of(
            candidacy: $candidacy,
            wanted: $request->wanted(),
            page: $request->integer('page'),
            sheet: true,
        ));
    }

    #[Operation('Drill my gaps', returns: BuiltView::class, status: 201)]
    public function drill(GapsRequest $request, Candidacy $candidacy): JsonResponse
    {
        $questions = array_slice($this->gaps->questions($candidacy, $request->wanted()), 0, self::DRILL);
        $sitting = $this->quick->begin(
            candidacy: $candidacy,
            filters: new Filters(new PickFilter($questions)),
            most: count($questions),
            otherwise: 'There is nothing to drill: no such gap, or its questions are asked no more or in a test whose '.
                'clock runs.',
            name: TestName::dated('From my gap book · '.count($questions), $candidacy),
        );

        return new JsonResponse(BuiltView::of($sitting), 201);
    }
}
