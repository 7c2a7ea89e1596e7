<?php

declare(strict_types=1);

namespace App\Result;

use App\Assembly\TestItems;
use App\Http\Contract\Get;
use App\Http\Contract\Post;
use App\Http\Refusal;
use App\Sitting\BuiltView;
use App\Sitting\Closing;
use App\Sitting\Desk;
use App\Sitting\OnPaper;
use App\Sitting\Sitting;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Sitting\State;

final readonly class ResultController
{
    public function __construct(
        private Desk $desk,
        private Closing $closing,
        private ResultReader $results,
        private FollowUps $followUps,
        private Explainer $explainer,
        private TestItems $items,
        private OnPaper $onPaper,
    ) {
    }

    #[Get('/api/sittings/{sitting}/result', 'Read a result', returns: ResultView::class)]
    public function show(Sitting $sitting): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);

        return new JsonResponse($this->results->of($sitting));
    }

    #[Get('/api/sittings/{sitting}/review', 'List questions for review', returns: ReviewView::class)]
    public function review(Sitting $sitting): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);

        return new JsonResponse($this->results->review($sitting));
    }

    #[
        Post(
            '/api/sittings/{sitting}/follow-up',
            'Begin what a result leads to',
            returns: BuiltView::class,
            status: 201,
        ),
    ]
    public function followUp(Sitting $sitting): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);

        return new JsonResponse(new BuiltView($this->followUps->begin($sitting)->id), 201);
    }

    #[
        Post(
            '/api/sittings/{sitting}/questions/{position}/rubric',
            'Mark a written answer',
            takes: RubricRequest::class,
            returns: ExplanationView::class,
        ),
    ]
    public function mark(RubricRequest $request, Sitting $sitting, int $position): JsonResponse
    {
        $this->explained($sitting, $position);
        if ($this->items->of($sitting->test_id, [$position])[$position]->version->kind !== Kind::Written) {
            throw Refusal::unmet('not_written', 'Only written answers are marked by hand.');
        }
        $this->closing->markByRubric($sitting, $position, $request->points());

        return $this->explain($sitting->refresh(), $position);
    }

    #[Get('/api/sittings/{sitting}/questions/{position}', 'Explain a question', returns: ExplanationView::class)]
    public function explain(Sitting $sitting, int $position): JsonResponse
    {
        $state = $this->explained($sitting, $position);

        return new JsonResponse($this->explainer->explain($sitting, $state->questions[$position], $position));
    }

    #[Get('/api/sittings/{sitting}/key', 'Print a key', returns: KeyView::class)]
    public function key(Sitting $sitting): JsonResponse
    {
        if (! $sitting->isHandedIn()) {
            // What is sat on paper is checked on paper: whoever chose that may have the key, and no clock counts for
            // it.
            if (! $sitting->on_paper) {
                throw Refusal::conflict(
                    'not_yet',
                    'The key is printed after you hand in, or when you have chosen to sit the test on paper.',
                );
            }
            $this->onPaper->refuseHeldBack($sitting);
        }
        $state = $this->desk->state($sitting);

        return new JsonResponse(new KeyView($this->explainer->whole($sitting, $state)));
    }

    /** The one gate before every key and rationale. */
    private function explained(Sitting $sitting, int $position): State
    {
        if ($position >= $sitting->questions) {
            throw Refusal::notFound();
        }
        $state = $this->desk->state($sitting);
        if (! $sitting->isHandedIn() && ! $state->questions[$position]->isChecked()) {
            throw Refusal::conflict(
                'not_yet',
                'The answer is shown after you check the question in tutor mode, or after you hand in.',
            );
        }

        return $state;
    }
}
