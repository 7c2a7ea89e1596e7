<?php

declare(strict_types=1);

namespace App\Result;

use App\Question\Exam;
use App\Question\Syllabus;
use App\Sitting\Sitting;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Result\Breakdown;
use Uplandia\Core\Result\Changes;
use Uplandia\Core\Result\Group;
use Uplandia\Core\Result\Headline;
use Uplandia\Core\Result\QuestionResult;
use Uplandia\Core\Result\Striking;
use Uplandia\Core\Result\SurenessReport;
use Uplandia\Core\Result\Timing;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\Sureness;

/** Reads the result of a sitting that was handed in, from its outcomes. The core decides what they come to. */
final readonly class ResultReader
{
    /** Before the family of a tag. */
    private const TAG = 'tag:';

    public function __construct(private TellsExpected $expected)
    {
    }

    public function of(Sitting $sitting): ResultView
    {
        $sitting->loadMissing('test.exam');
        $exam = $sitting->test->exam;
        $cut = BigRational::of($exam->rules['cut']);
        $syllabus = Syllabus::of($exam);
        $results = $this->results($sitting, $syllabus);
        $whole = Breakdown::whole($results, $cut->toFloat());
        $headline = Headline::of($results, $cut);
        $sureness = SurenessReport::of($results);
        $paper = $sitting->test->of_exam;
        $share = $whole->totals->pending === 0 ? $whole->totals->shareOfAll() : null;
        $terms = $sitting->terms();
        $expected = $this->expected->of($sitting);
        $tally = TallyView::of($whole->totals, $whole->meanMs);

        return new ResultView(
            sitting: $sitting->id,
            exam: $exam->slug,
            title: $sitting->name,
            mode: $terms->mode,
            startedAt: (int) $sitting->started_ms,
            endedAt: (int) $sitting->ended_ms,
            byClock: $sitting->by_clock,
            activeMs: $sitting->active_ms,
            limitMs: $terms->limit,
            tally: $expected === null ? $tally : $tally->withoutShares(),
            cut: Shown::percent($cut),
            counts: $sitting->counts,
            same: $sitting->test->isRepeatable(),
            scaled: $paper && $sitting->test->section === null && $share !== null
                ? ScaledView::of($exam->blueprint()->scale, $share)
                : null,
            expected: $expected,
            opening: $expected->sentence ?? $headline->opening,
            facts: $expected === null ? $headline->facts : [],
            breakdowns: $expected !== null ? [] : $this->breakdowns(
                results: $results,
                syllabus: $syllabus,
                exam: $exam,
                sections: $paper,
            ),
            levels: array_map(LevelView::of(...), $sureness->levels),
            footing: FootingView::of($sureness->footing),
            habits: $this->habits($results, $sureness),
        );
    }

    /** @return list<QuestionResult> in the order of the test */
    private function results(Sitting $sitting, Syllabus $syllabus): array
    {
        $rows = DB::table('outcomes')
            ->join('question_versions', 'question_versions.id', '=', 'outcomes.version_id')
            ->join(
                'test_items',
                fn ($join) => $join
                    ->on('test_items.position', '=', 'outcomes.position')
                    ->where('test_items.test_id', $sitting->test_id),
            )
            ->where('outcomes.sitting_id', $sitting->id)
            ->orderBy('outcomes.position')
            ->get([
                'outcomes.position',
                'outcomes.topic_id',
                'outcomes.section',
                'outcome',
                'credit',
                'first_credit',
                'possible',
                'penalty',
                'changes',
                'struck',
                'sureness',
                'active_ms',
                'cohort_ms',
                'kind',
                'difficulty',
                'question_versions.tags',
                'question_versions.shown as presented',
                'withheld',
            ]);
        $results = $schemes = $credits = [];
        foreach ($rows as $row) {
            $topic = $syllabus->get((int) $row->topic_id);
            $results[] = self::result(
                row: $row,
                // Most are alike, and exact fractions are dear to read.
                scheme: ($schemes["{$row->possible} {$row->penalty}"] ??= new MarkScheme(
                    (string) $row->possible,
                    (string) $row->penalty,
                )),
                credit: ($credits["{$row->outcome} {$row->credit}"] ??= Credit::stored(
                    Outcome::from((string) $row->outcome),
                    $row->credit,
                )),
                labels: [
                    'topic' => $syllabus->topOf($topic->id)->name,
                    'subtopic' => $topic->code,
                    'difficulty' => (string) $row->difficulty,
                    'kind' => (string) $row->kind,
                ] + ($row->section === null ? [] : ['section' => (string) $row->section]) + self::tags($row),
            );
        }

        return $results;
    }

    /** @return array<string, list<string>> "tag:family" => values */
    private static function tags(stdClass $row): array
    {
        $tags = [];
        foreach ((array) json_decode((string) $row->tags, true) as $family => $values) {
            $tags[self::TAG.$family] = array_values(array_filter((array) $values, is_string(...)));
        }

        return $tags;
    }

    /** @param  array<string, string|list<string>>  $labels */
    private static function result(stdClass $row, MarkScheme $scheme, Credit $credit, array $labels): QuestionResult
    {
        $single = $row->kind === Kind::Single->value;
        $options = $single
            ? array_column((array) (json_decode((string) $row->presented, true)['options'] ?? []), 'id')
            : [];
        $key = $single ? json_decode((string) $row->withheld, true)['key'] ?? null : null;

        return new QuestionResult(
            position: (int) $row->position,
            labels: $labels,
            credit: $credit,
            scheme: $scheme,
            firstCredit: $row->first_credit === null ? null : Credit::of(BigRational::of((string) $row->first_credit)),
            ms: (int) $row->active_ms,
            cohortMedianMs: $row->cohort_ms === null ? null : (float) $row->cohort_ms,
            sureness: $row->sureness === null ? null : Sureness::from((string) $row->sureness),
            luck: $options === [] ? 0.0 : 1 / count($options),
            options: $options,
            struck: array_values(array_filter((array) json_decode((string) $row->struck, true), is_string(...))),
            key: is_string($key) ? $key : null,
            changes: (int) $row->changes,
        );
    }

    /**
     * @param  list<QuestionResult>  $results
     * @param  bool  $sections  whether it has the exam's
     * @return list<BreakdownView>
     */
    private function breakdowns(array $results, Syllabus $syllabus, Exam $exam, bool $sections): array
    {
        $cut = BigRational::of($exam->rules['cut'])->toFloat();
        $views = [new BreakdownView('topic', $this->topics($results, $syllabus, $cut))];
        if ($sections) {
            $views[] = new BreakdownView('section', $this->sections($results, $exam, $cut));
        }
        $inOrder = [
            'difficulty' => array_column(Difficulty::cases(), 'value'),
            'kind' => array_column(Kind::cases(), 'value'),
        ];
        $families = array_values(array_unique(array_merge([], ...array_map(
            fn (QuestionResult $result): array => array_filter(
                array_keys($result->labels),
                fn (string $label): bool => str_starts_with($label, self::TAG),
            ),
            $results,
        ))));
        sort($families);
        foreach ([...array_keys($inOrder), ...$families] as $by) {
            $groups = Breakdown::by($results, $by, $cut);
            $order = $inOrder[$by] ?? [];
            uksort(
                $groups,
                fn (int|string $one, int|string $other): int => $order === []
                    ? strnatcasecmp((string) $one, (string) $other)
                    : array_search($one, $order, true) <=> array_search($other, $order, true),
            );
            // Where all have the same, there is nothing to compare.
            if (count($groups) > 1) {
                $views[] = new BreakdownView($by, array_map(
                    fn (Group $group): GroupView => GroupView::of($group->name, $group->name, $group),
                    array_values($groups),
                ));
            }
        }

        return $views;
    }

    /**
     * @param  list<QuestionResult>  $results
     * @return list<GroupView> in the order of the blueprint, those of which anything was asked
     */
    private function topics(array $results, Syllabus $syllabus, float $cut): array
    {
        $byTopic = Breakdown::by($results, 'topic', $cut);
        $bySubtopic = Breakdown::by($results, 'subtopic', $cut);
        $topics = [];
        foreach ($syllabus->tops() as $top) {
            $parts = [];
            foreach ($syllabus->under($top) as $sub) {
                $group = $bySubtopic[$sub->code] ?? null;
                $parts = $group === null ? $parts : [...$parts, GroupView::of($sub->code, $sub->name, $group)];
            }
            $group = $byTopic[$top->name] ?? null;
            $topics =
                $group === null
                    ? $topics
                    : [...$topics, GroupView::of(code: $top->code, name: $top->name, group: $group, parts: $parts)];
        }

        return $topics;
    }

    /**
     * @param  list<QuestionResult>  $results
     * @return list<GroupView>
     */
    private function sections(array $results, Exam $exam, float $cut): array
    {
        $bySection = Breakdown::by($results, 'section', $cut);
        $sections = [];
        foreach ($exam->blueprint()->sections as $section) {
            $group = $bySection[$section->code] ?? null;
            if ($group instanceof Group) {
                $sections[] = GroupView::of($section->code, $section->name, $group);
            }
        }

        return $sections;
    }

    /** @param  list<QuestionResult>  $results */
    private function habits(array $results, SurenessReport $sureness): HabitsView
    {
        $changes = Changes::of($results);
        $striking = Striking::of($results);

        return new HabitsView(
            slowest: Timing::of($results)->slowest,
            wrongToRight: $changes->wrongToRight,
            rightToWrong: $changes->rightToWrong,
            wrongToWrong: $changes->wrongToWrong,
            ruledOut: $striking->questions,
            keyRuledOut: $striking->keyStruck,
            narrowedToTwo: $striking->narrowedToTwo,
            accuracyNarrowed: $striking->accuracyNarrowed,
            rapidGuesses: count(array_filter($results, fn (QuestionResult $result): bool => $result->isRapidGuess())),
            surenessThin: $sureness->isThin(),
        );
    }
}
