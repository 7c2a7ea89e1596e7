<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Delete;
use App\Http\Contract\Get;
use App\Http\Contract\Post;
use App\Scoring\Settlement;
use Brick\Math\BigRational;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Section;
use Uplandia\Core\Scoring\Shown;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\PacePlan;

final class SittingController
{
    public function __construct(private readonly Sittings $sittings, private readonly Settlement $settlement)
    {
    }

    #[Get('/api/sittings/{sitting}', 'Read a briefing', returns: BriefingView::class)]
    public function show(Sitting $sitting): JsonResponse
    {
        $this->sittings->settleIfOver($sitting);

        return new JsonResponse($this->briefing($sitting));
    }

    #[Post('/api/sittings/{sitting}/open', 'Open a sitting', takes: OpenRequest::class, returns: OpenView::class)]
    public function open(OpenRequest $request, Sitting $sitting): JsonResponse
    {
        $this->sittings->settleIfOver($sitting);
        $state = $this->sittings->open($sitting, $request->string('tab')->value(), $request->boolean('take'));
        $outcomes = $this->settlement->outcomes($sitting);

        return new JsonResponse(new OpenView($this->briefing($sitting), $this->questions($sitting), $this->units($sitting), StateView::of($state, Moment::now(), (new SittingEvents($sitting))->lastSeq(), null, $outcomes)));
    }

    #[Post('/api/sittings/{sitting}/events', 'Record events', takes: EventsRequest::class, returns: StateView::class)]
    public function record(EventsRequest $request, Sitting $sitting): JsonResponse
    {
        $events = $request->events(Moment::now());
        [$state, $refused] = $this->sittings->record($sitting, $request->string('tab')->value(), $events, $request->awakeSince());
        $touched = array_values(array_unique(array_filter(array_map(fn (Event $event): ?int => $event->position, $events), is_int(...))));

        return new JsonResponse(StateView::of($state, Moment::now(), (new SittingEvents($sitting))->lastSeq(), $touched, $this->settlement->outcomes($sitting), $refused));
    }

    #[Post('/api/sittings/{sitting}/hand-in', 'Hand in', takes: EventsRequest::class, returns: HandedInView::class)]
    public function handIn(EventsRequest $request, Sitting $sitting): JsonResponse
    {
        $refused = $this->sittings->handIn($sitting, $request->string('tab')->value(), $request->events(Moment::now()), $request->awakeSince());

        return new JsonResponse(new HandedInView($sitting->id, (object) $refused));
    }

    #[Delete('/api/sittings/{sitting}', 'Discard a sitting that has not begun')]
    public function destroy(Sitting $sitting): Response
    {
        // Only what holds no answers can be thrown away: a sitting once begun stays on record.
        Sitting::query()->whereKey($sitting->id)->where('status', 'not_started')->delete();

        return response()->noContent();
    }

    private function briefing(Sitting $sitting): BriefingView
    {
        $sitting->refresh()->loadMissing('test.exam');
        $terms = $sitting->terms();
        $marks = BigRational::zero();
        foreach (DB::table('test_items')->where('test_id', $sitting->test_id)->pluck('marks') as $worth) {
            $marks = $marks->plus(is_string($worth) ? $worth : 0);
        }
        $pace = $terms->limit === null || $marks->getSign() === 0 ? null : PacePlan::of($terms->limit, 0, 0, $marks)->timeFor(1);

        return new BriefingView($sitting->id, $sitting->test->exam->slug, $sitting->test->title, $sitting->test->mode, $sitting->status, $sitting->questions, $sitting->answered, Shown::decimal($marks), $terms->limit, $sitting->extra_time, $pace, $this->sections($sitting));
    }

    /** @return list<SectionBriefView> */
    private function sections(Sitting $sitting): array
    {
        if ($sitting->test->paper_id === null) {
            return [];
        }

        return array_map(fn (Section $section): SectionBriefView => new SectionBriefView($section->name, $section->questions, Shown::decimal($section->marks), $section->penalty->getSign() === 0 ? null : (string) $section->penalty), $sitting->test->exam->blueprint()->sections);
    }

    /**
     * Only the columns that a candidate may see are read at all.
     *
     * @return list<QuestionView>
     */
    private function questions(Sitting $sitting): array
    {
        return DB::table('test_items')->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->leftJoin('units', 'units.id', '=', 'questions.unit_id')->where('test_items.test_id', $sitting->test_id)->orderBy('test_items.position')
            ->get(['test_items.position', 'test_items.marks', 'test_items.penalty', 'questions.kind', 'question_versions.shown', 'units.code as unit'])
            ->map(fn (object $row): QuestionView => QuestionView::of($sitting, (int) $row->position, (string) $row->kind, Shown::decimal(BigRational::of((string) $row->marks)), (array) json_decode((string) $row->shown, true), $row->unit, (string) $row->penalty))
            ->values()->all();
    }

    /** @return list<UnitView> in the order of the test, each as the questions of this test have it */
    private function units(Sitting $sitting): array
    {
        return DB::table('test_items')->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')->join('unit_versions', 'unit_versions.id', '=', 'question_versions.unit_version_id')
            ->join('units', 'units.id', '=', 'unit_versions.unit_id')->where('test_items.test_id', $sitting->test_id)->orderBy('test_items.position')
            ->get(['test_items.position', 'units.code', 'units.kind', 'unit_versions.shown'])->groupBy('code')
            ->map(fn (Collection $rows, string $code): UnitView => UnitView::of($code, $rows[0]->kind, (array) json_decode((string) $rows[0]->shown, true), $rows->pluck('position')->map(fn (mixed $position): int => (int) $position)->values()->all()))
            ->values()->all();
    }
}
