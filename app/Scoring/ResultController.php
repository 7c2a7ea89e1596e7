<?php

declare(strict_types=1);

namespace App\Scoring;

use App\Assembly\Syllabus;
use App\Handbook\HandbookSection;
use App\Handbook\SectionLinkView;
use App\Http\Contract\Get;
use App\Http\Contract\Post;
use App\Http\Refusal;
use App\Question\QuestionVersion;
use App\Sitting\QuestionView;
use App\Sitting\Sitting;
use App\Sitting\Sittings;
use App\Sitting\UnitView;
use Brick\Math\BigRational;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Scoring\MarkScheme;
use Uplandia\Core\Scoring\Shown;
use Uplandia\Core\Sitting\State;

final class ResultController
{
    private const EXCERPT = 110;

    public function __construct(private readonly Sittings $sittings, private readonly Marker $marker)
    {
    }

    #[Get('/api/sittings/{sitting}/result', 'Read a result', returns: ResultView::class)]
    public function show(Sitting $sitting, Results $results): JsonResponse
    {
        $this->refuseUntilHandedIn($sitting);

        return new JsonResponse($results->of($sitting));
    }

    #[Get('/api/sittings/{sitting}/review', 'List questions for review', returns: ReviewView::class)]
    public function review(Sitting $sitting): JsonResponse
    {
        $this->refuseUntilHandedIn($sitting);
        $sitting->loadMissing('test.exam');
        $syllabus = Syllabus::of($sitting->test->exam);
        $state = $this->sittings->state($sitting);
        $rows = DB::table('outcomes')->join('question_versions', 'question_versions.id', '=', 'outcomes.version_id')->where('sitting_id', $sitting->id)->orderBy('position')
            ->get(['position', 'outcome', 'topic_id', 'question_versions.shown', 'sureness', 'active_ms']);
        $items = $rows->map(function (object $row) use ($syllabus, $state): ReviewItemView {
            $shown = (array) json_decode((string) $row->shown, true);
            $topic = $syllabus->get((int) $row->topic_id);

            return new ReviewItemView((int) $row->position, $row->outcome, $syllabus->topOf($topic->id)->name, $topic->name, $this->excerpt(is_string($shown['stem'] ?? null) ? $shown['stem'] : ''), $state->questions[(int) $row->position]->flagged, $row->sureness, (int) $row->active_ms);
        });

        return new JsonResponse(new ReviewView($sitting->id, $sitting->test->exam->slug, $sitting->test->title, $items->values()->all()));
    }

    #[Post('/api/sittings/{sitting}/questions/{position}/rubric', 'Mark a written answer', takes: RubricRequest::class, returns: ExplanationView::class)]
    public function mark(RubricRequest $request, Sitting $sitting, int $position): JsonResponse
    {
        $this->sittings->settleIfOver($sitting);
        $item = DB::table('test_items')->where('test_id', $sitting->test_id)->where('position', $position)->first() ?? throw Refusal::notFound();
        $this->refuseBeforeItsTime($sitting, $this->sittings->state($sitting), $position);
        $kind = DB::table('questions')->where('id', $item->question_id)->value('kind');
        if ($kind !== 'written') {
            throw Refusal::unmet('not_written', 'Only written answers are marked by hand.');
        }
        $this->sittings->markByRubric($sitting, $position, $request->points());

        return $this->explain($sitting->refresh(), $position);
    }

    #[Get('/api/sittings/{sitting}/questions/{position}', 'Explain a question', returns: ExplanationView::class)]
    public function explain(Sitting $sitting, int $position): JsonResponse
    {
        $this->sittings->settleIfOver($sitting);
        $item = DB::table('test_items')->where('test_id', $sitting->test_id)->where('position', $position)->first() ?? throw Refusal::notFound();
        $sitting->loadMissing('test.exam');
        $state = $this->sittings->state($sitting);
        $this->refuseBeforeItsTime($sitting, $state, $position);

        $version = QuestionVersion::query()->with('question.topic')->findOrFail($item->version_id);
        $question = $state->questions[$position];
        $credit = $this->marker->mark($version->forMarking(), $question->response, $question->rubricMarks);
        $topic = $version->question->topic;
        $answer = $version->answer;
        $unit = $this->unit($version, $position);

        return new JsonResponse(new ExplanationView(
            QuestionView::of($sitting, $position, $version->question->kind, Shown::decimal(BigRational::of((string) $item->marks)), $version->shown, $unit?->code, (string) $item->penalty),
            $question->response === null ? null : (object) $question->response,
            $credit->outcome->value,
            Shown::decimal((new MarkScheme((string) $item->marks, (string) $item->penalty))->marksFor($credit)),
            AnswerView::of($answer),
            $unit,
            $question->rubricMarks === null ? null : (object) $question->rubricMarks,
            (object) ($answer['why'] ?? []),
            is_string($answer['rationale'] ?? null) ? $answer['rationale'] : '',
            $this->references($sitting->exam_id, (array) ($answer['references'] ?? [])),
            $sitting->test->exam->slug,
            Syllabus::of($sitting->test->exam)->topOf($topic->id)->name,
            $topic->name,
            $version->question->difficulty,
            $question->activeMs,
            $question->struck,
        ));
    }

    private function unit(QuestionVersion $version, int $position): ?UnitView
    {
        $unit = DB::table('unit_versions')->join('units', 'units.id', '=', 'unit_versions.unit_id')->where('unit_versions.id', $version->unit_version_id)->first(['code', 'kind', 'shown']);

        return $unit === null ? null : UnitView::of((string) $unit->code, (string) $unit->kind, (array) json_decode((string) $unit->shown, true), [$position]);
    }

    /**
     * @param  array<mixed>  $codes
     * @return list<SectionLinkView>
     */
    private function references(int $exam, array $codes): array
    {
        return HandbookSection::query()->where('exam_id', $exam)->whereIn('code', $codes)->orderBy('position')->get(['code', 'chapter', 'title'])->map(SectionLinkView::of(...))->values()->all();
    }

    /** The one gate before every key and rationale. */
    private function refuseBeforeItsTime(Sitting $sitting, State $state, int $position): void
    {
        if (! $sitting->isHandedIn() && ! $state->questions[$position]->checked) {
            throw Refusal::conflict('not_yet', 'The answer is shown after you check the question in tutor mode, or after you hand in.');
        }
    }

    private function refuseUntilHandedIn(Sitting $sitting): void
    {
        $this->sittings->settleIfOver($sitting);
        if (! $sitting->isHandedIn()) {
            throw Refusal::notHandedIn();
        }
    }

    private function excerpt(string $markdown): string
    {
        $markdown = (string) preg_replace('/\[\[\w+\]\]/', '…', $markdown);
        $plain = trim((string) preg_replace('/\s+/', ' ', (string) preg_replace('/!\[[^\]]*\]\((?:[^()"]|"[^"]*")*\)|[*_`>#|]|\$/', '', $markdown)));

        return mb_strlen($plain) <= self::EXCERPT ? $plain : rtrim(mb_substr($plain, 0, self::EXCERPT)).'…';
    }
}
