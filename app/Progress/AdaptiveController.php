<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\TestBuilder;
use App\Http\Contract\Operation;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Sitting\BuiltView;
use App\Sitting\Settles;
use App\Sitting\Sitting;
use App\Sitting\SittingQuestions;
use App\Sitting\SittingRepository;
use App\Sitting\StateView;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Progress\Adaptive;

final readonly class AdaptiveController
{
    public function __construct(
        private AdaptiveTests $tests,
        private SittingRepository $repository,
        private SittingQuestions $questions,
        private Settles $settlement,
    ) {
    }

    #[Operation('What an adaptive test could ask', returns: AdaptiveOfferView::class)]
    public function show(Exam $exam): JsonResponse
    {
        return new JsonResponse(
            new AdaptiveOfferView(
                reach: AdaptiveBank::of($exam)->reach(),
                least: Adaptive::LEAST,
                choices: array_map(
                    fn (int $most): AdaptiveChoiceView => new AdaptiveChoiceView(
                        $most,
                        TestBuilder::minutesFor($exam, $most),
                    ),
                    AdaptiveTests::LENGTHS,
                ),
            ),
        );
    }

    #[Operation('Prepare an adaptive test', returns: BuiltView::class, status: 201)]
    public function store(AdaptiveRequest $request, Candidacy $candidacy): JsonResponse
    {
        $sitting = $this->tests->ready(
            candidacy: $candidacy,
            most: $request->integer('most'),
            timed: $request->boolean('timed'),
        );

        return new JsonResponse(BuiltView::of($sitting), 201);
    }

    #[Operation('Ask for the next question', returns: NextView::class)]
    public function next(NextRequest $request, Sitting $sitting): JsonResponse
    {
        $after = $request->integer('after');
        $this->tests->goOn(
            sitting: $sitting,
            tab: $request->string('tab')->value(),
            after: $after,
            awake: $request->awake(),
        );

        return new JsonResponse(
            new NextView(
                questions: $this->questions->questions($sitting, $after + 1),
                units: $this->questions->units($sitting, $after + 1),
                state: StateView::of(
                    state: $this->repository->state($sitting),
                    now: $this->repository->nowFor($sitting),
                    lastSeq: $sitting->last_seq,
                    positions: $sitting->positions(),
                    outcomes: $sitting->isHandedIn() ? [] : $this->settlement->outcomes($sitting),
                    score: null,
                ),
            ),
        );
    }
}
