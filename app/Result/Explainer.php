<?php

declare(strict_types=1);

namespace App\Result;

use App\Assembly\TestItem;
use App\Assembly\TestItems;
use App\Handbook\HandbookSection;
use App\Handbook\SectionLinkView;
use App\Http\Refusal;
use App\Question\QuestionShowing;
use App\Question\Syllabus;
use App\Question\UnitView;
use App\Sitting\Sitting;
use App\Sitting\Tries;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Question\UnitKind;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\QuestionState;
use Uplandia\Core\Sitting\State;

/** Explains a question that its sitting may see explained. */
final readonly class Explainer
{
    public function __construct(
        private TestItems $items,
        private Parts $parts,
        private ComparedAnswers $compared,
        private Tries $tries,
    ) {
    }

    public function explain(Sitting $sitting, QuestionState $state, int $position): ExplanationView
    {
        $item = $this->items->of($sitting->test_id, [$position])[$position] ?? throw Refusal::notFound();

        return $this->one(
            sitting: $sitting,
            state: $state,
            position: $position,
            item: $item,
            syllabus: null,
            cohort: $this->compared->cohort($item),
            earlier: $this->compared->earlier($sitting, $item),
        );
    }

    /**
     * @param  list<int>  $positions  of questions whose key may be shown
     * @return list<ExplanationView> in order
     */
    public function whole(Sitting $sitting, State $state, array $positions): array
    {
        $sitting->loadMissing('test.exam');
        $syllabus = Syllabus::of($sitting->test->exam);
        $explained = [];
        foreach ($this->items->of($sitting->test_id, $positions) as $position => $item) {
            $explained[] = $this->one(
                sitting: $sitting,
                state: $state->questions[$position],
                position: $position,
                item: $item,
                syllabus: $syllabus,
            );
        }

        return $explained;
    }

    /** @param  list<EarlierLookView>  $earlier */
    private function one(
        Sitting $sitting,
        QuestionState $state,
        int $position,
        TestItem $item,
        ?Syllabus $syllabus,
        ?CohortAnswersView $cohort = null,
        array $earlier = [],
    ): ExplanationView {
        $sitting->loadMissing('test.exam');
        $version = $item->version;
        $unit = $this->unit($item, $position);
        $showing = new QuestionShowing(
            $sitting->seed(),
            $sitting->terms()->shuffled,
            $sitting->test->exam->voidsOverLimit(),
        );
        $question = $showing->question(
            position: $position,
            kind: $version->kind,
            shown: $version->shown,
            marks: (string) $item->scheme->marks,
            penalty: (string) $item->scheme->penalty,
            unit: $unit?->id,
        );
        $credit = $item->question->mark($state->response, $state->rubricMarks);
        $syllabus ??= Syllabus::of($sitting->test->exam);
        $withheld = $version->withheld;
        $text = fn (string $name): ?string => is_string($withheld[$name] ?? null) ? $withheld[$name] : null;

        return new ExplanationView(
            question: $question,
            response: $state->response === null ? null : (object) $state->response,
            outcome: ($state->seen ? $credit : $credit::notReached())->outcome,
            marks: Shown::decimal($item->scheme->marksFor($credit)),
            parts: $this->parts->of(view: $question, question: $item->question, withheld: $withheld, state: $state),
            tolerance: $this->parts->tolerance($item->question),
            rubric: $this->rubric($withheld),
            rubricMarks: $state->rubricMarks === null ? null : (object) $state->rubricMarks,
            model: $text('model'),
            unit: $unit,
            evidence: array_values(array_filter((array) ($withheld['evidence'] ?? []), is_string(...))),
            rationale: $text('rationale') ?? '',
            references: $this->references($sitting->exam_id, (array) ($withheld['references'] ?? [])),
            exam: $sitting->test->exam->slug,
            topic: $syllabus->topOf($version->topic_id)->name,
            subtopic: $syllabus->get($version->topic_id)->name,
            difficulty: $version->difficulty,
            activeMs: $state->activeMs,
            cohort: $cohort,
            earlier: $earlier,
            tries: $this->tries->views($item, $state->tries),
        );
    }

    private function unit(TestItem $item, int $position): ?UnitView
    {
        $unit = DB::table('unit_versions')
            ->join('units', 'units.id', '=', 'unit_versions.unit_id')
            ->where('unit_versions.id', $item->version->unit_version_id)
            ->first(['kind', 'shown']);

        return $unit === null
            ? null
            : UnitView::of(UnitKind::from((string) $unit->kind), (array) json_decode((string) $unit->shown, true), [
                $position,
            ]);
    }

    /**
     * @param  array<string, mixed>  $withheld
     * @return list<CriterionView>
     */
    private function rubric(array $withheld): array
    {
        /** @var list<array{id: string, text: string, points?: int|string, why?: string}> $rubric */
        $rubric = is_array($withheld['rubric'] ?? null) ? $withheld['rubric'] : [];

        return array_map(
            fn (array $one): CriterionView => new CriterionView(
                id: $one['id'],
                text: $one['text'],
                points: (string) ($one['points'] ?? 1),
                why: $one['why'] ?? '',
            ),
            $rubric,
        );
    }

    /**
     * @param  array<mixed>  $codes
     * @return list<SectionLinkView>
     */
    private function references(int $exam, array $codes): array
    {
        $sections = HandbookSection::query()
            ->where('exam_id', $exam)
            ->whereIn('code', $codes)
            ->orderBy('position')
            ->get(['code', 'chapter', 'title']);

        return array_map(SectionLinkView::of(...), array_values($sections->all()));
    }
}
