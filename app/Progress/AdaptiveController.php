<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\Bank;
use App\Assembly\TestBuilder;
use App\Http\Contract\Operation;
use App\Question\Candidacy;
use App\Sitting\Settles;
use App\Sitting\Sitting;
use App\Sitting\SittingQuestions;
use App\Sitting\SittingRepository;
use App\Sitting\StateView;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Progress\Adaptive;

final readonly class AdaptiveController
{
    public function __construct(
        private AdaptiveTests $tests,
        private Bank $bank,
        private SittingRepository $repository,
        private SittingQuestions $questions,
        private Settles $settlement,
    ) {
    }

    #[Operation('What an adaptive test could ask', returns: AdaptiveOfferView::class)]
    public function show(Candidacy $candidacy): JsonResponse
    {
        $exam = $candidacy->exam;

        return new JsonResponse(
            new AdaptiveOfferView(
                reach: $this->bank->reach($this->bank->selection($candidacy, new Filters())),
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
