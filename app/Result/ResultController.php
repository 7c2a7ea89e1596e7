<?php

declare(strict_types=1);

namespace App\Result;

use App\Assembly\TestItems;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Sitting\BuiltView;
use App\Sitting\Closing;
use App\Sitting\KeyGate;
use App\Sitting\Sitting;
use App\Sitting\SittingRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Sitting\State;

final readonly class ResultController
{
    public function __construct(
        private SittingRepository $repository,
        private Closing $closing,
        private ResultReader $results,
        private FollowUps $followUps,
        private Explainer $explainer,
        private TestItems $items,
        private KeyGate $gate,
        private ShownKeys $keys,
    ) {
    }

    #[Operation('Read a result', returns: ResultView::class)]
    public function show(Sitting $sitting): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);

        return new JsonResponse($this->results->of($sitting));
    }

    #[Operation('List questions for review', returns: ReviewView::class)]
    public function review(Sitting $sitting): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);

        return new JsonResponse($this->results->review($sitting));
    }

    #[Operation('Begin what a result leads to', returns: BuiltView::class, status: 201)]
    public function followUp(Sitting $sitting): JsonResponse
    {
        $this->closing->refuseUntilHandedIn($sitting);

        return new JsonResponse(BuiltView::of($this->followUps->begin($sitting)), 201);
    }

    #[Operation('Mark a written answer', returns: ExplanationView::class)]
    public function mark(RubricRequest $request, Sitting $sitting, int $position): JsonResponse
    {
        $this->explained($sitting, $position);
        if ($this->items->of($sitting->test_id, [$position])[$position]->version->kind !== Kind::Written) {
            throw Refusal::unmet('not_written', 'Only written answers are marked by hand.');
        }
        $this->closing->markByRubric($sitting, $position, $request->points());

        return $this->explain($sitting->refresh(), $position);
    }

    #[Operation('Explain a question', returns: ExplanationView::class)]
    public function explain(Sitting $sitting, int $position): JsonResponse
    {
        $state = $this->explained($sitting, $position);

        return new JsonResponse($this->explainer->explain($sitting, $state->questions[$position], $position));
    }

    #[Operation('Print a key', returns: KeyView::class)]
    public function key(Sitting $sitting): JsonResponse
    {
        $this->refuseKeyBeforeItsTime($sitting);
        $state = $this->repository->state($sitting);
        $shown = $this->keys->shown($sitting, $state);
        if ($shown === [] && $sitting->questions > 0) {
            throw Refusal::conflict(
                'still_new',
                'Once you have seen the key, none of these questions is new to you any more, and no answer to them says '
                .'what you knew before.',
            );
        }

        return new JsonResponse(new KeyView($this->explainer->whole($sitting, $state, $shown)));
    }

    #[Operation('See the answers of questions one did not get to')]
    public function expose(ExposuresRequest $request, Sitting $sitting): Response
    {
        $this->refuseKeyBeforeItsTime($sitting);
        $this->keys->expose($sitting, $request->positions());

        return response()->noContent();
    }

    /** @throws Refusal */
    private function refuseKeyBeforeItsTime(Sitting $sitting): void
    {
        // What is sat on paper is checked on paper: whoever chose that may have the key, and no clock counts for it.
        if (! $sitting->isHandedIn() && ! $sitting->on_paper) {
            throw Refusal::conflict(
                'not_yet',
                'The key is printed after you hand in, or when you have chosen to sit the test on paper.',
            );
        }
        // Of what was handed in a few keys are left out; one that is all there is to have is had whole or not at all.
        if ($sitting->isHandedIn()) {
            $this->gate->refuseResult($sitting);
        } else {
            $this->gate->refuseWhole($sitting);
        }
    }

    /** Before every key and rationale of one question. */
    private function explained(Sitting $sitting, int $position): State
    {
        if ($position >= $sitting->questions) {
            throw Refusal::notFound();
        }
        $state = $this->repository->state($sitting);
        if (! $sitting->isHandedIn() && ! $state->questions[$position]->isChecked()) {
            throw Refusal::conflict(
                'not_yet',
                'The answer is shown after you check the question in tutor mode, or after you hand in.',
            );
        }
        $this->gate->refuseQuestion($sitting, $position, $state->questions[$position]->seen);

        return $state;
    }
}
