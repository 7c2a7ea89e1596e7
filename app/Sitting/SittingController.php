<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Operation;
use App\Http\Refusal;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\Terms;

final readonly class SittingController
{
    public function __construct(
        private SittingRepository $repository,
        private Opening $opening,
        private Recorder $recorder,
        private Closing $closing,
        private Settles $settlement,
        private Briefings $briefings,
        private Pace $pace,
        private SittingQuestions $questions,
        private Tries $tries,
    ) {
    }

    #[Operation('Read a briefing', returns: BriefingView::class)]
    public function show(Sitting $sitting): JsonResponse
    {
        return new JsonResponse($this->briefings->of($sitting));
    }

    #[Operation('Close a sitting whose time has run out')]
    public function close(Sitting $sitting): Response
    {
        $this->closing->closeOver($sitting);

        return response()->noContent();
    }

    #[Operation('Plan a reserve', returns: BriefingView::class)]
    public function reserve(ReserveRequest $request, Sitting $sitting): JsonResponse
    {
        $reserve = $request->integer('minutes') * Terms::MS_PER_MINUTE;
        $most = $this->pace->mostReserve($sitting);
        if ($reserve > $most) {
            $minutes = intdiv($most, Terms::MS_PER_MINUTE);
            throw Refusal::unmet('too_much', "Of this test at most {$minutes} min can be kept in reserve.");
        }
        // Only this: whatever else is being written of it meanwhile stays.
        Sitting::query()->whereKey($sitting->id)->update(['reserve_ms' => $reserve]);

        return new JsonResponse($this->briefings->of($sitting->refresh()));
    }

    #[Operation('Open a sitting', returns: OpenView::class)]
    public function open(OpenRequest $request, Sitting $sitting): JsonResponse
    {
        $opened = $this->opening->open(
            sitting: $sitting,
            tab: $request->string('tab')->value(),
            take: $request->boolean('take'),
            awake: $request->awake(),
            left: $request->events($this->repository->nowFor($sitting)),
        );
        $state = $opened->state;
        $sitting->refresh();

        return new JsonResponse(
            new OpenView(
                briefing: $this->briefings->of($sitting),
                questions: $this->questions->questions($sitting),
                units: $this->questions->units($sitting),
                topics: $sitting->mode === Mode::Tutor ? $this->questions->topics($sitting) : [],
                state: StateView::of(
                    state: $state,
                    now: $this->repository->nowFor($sitting),
                    lastSeq: $sitting->last_seq,
                    positions: $sitting->positions(),
                    outcomes: $this->settlement->outcomes($sitting),
                    score: $this->settlement->score($sitting),
                    refused: $opened->refused,
                    tries: $this->tries->of($sitting, $state, null),
                ),
            ),
        );
    }

    #[Operation('Record events', returns: StateView::class)]
    public function record(EventsRequest $request, Sitting $sitting): JsonResponse
    {
        $events = $request->events($this->repository->nowFor($sitting));
        $recorded = $this->recorder->record(
            sitting: $sitting,
            tab: $request->string('tab')->value(),
            events: $events,
            awake: $request->awake(),
            after: $request->heldUpTo(),
        );
        $touched = array_filter(array_map(fn (Event $event): ?int => $event->position, $events), is_int(...));
        $positions = array_values(array_unique($touched));

        return new JsonResponse(
            StateView::of(
                state: $recorded->state,
                now: $this->repository->nowFor($sitting),
                lastSeq: $recorded->lastSeq,
                positions: $positions,
                outcomes: $this->settlement->outcomes($sitting),
                score: $this->settlement->score($sitting),
                refused: $recorded->refused,
                tries: $this->tries->of($sitting, $recorded->state, $positions),
            ),
        );
    }

    #[Operation('Hand in', returns: HandedInView::class)]
    public function handIn(EventsRequest $request, Sitting $sitting): JsonResponse
    {
        $refused = $this->closing->handIn(
            sitting: $sitting,
            tab: $request->string('tab')->value(),
            events: $request->events($this->repository->nowFor($sitting)),
            awake: $request->awake(),
            after: $request->heldUpTo(),
        );

        return new JsonResponse(new HandedInView($sitting->id, (object) $refused));
    }
}
