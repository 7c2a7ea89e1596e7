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
final class ResultReader
{
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
            tally: TallyView::of($whole->totals, $whole->meanMs),
            cut: Shown::percent($cut),
            counts: $sitting->counts,
            scaled: $paper && $sitting->test->section === null && $share !== null
                ? ScaledView::of($exam->blueprint()->scale, $share)
                : null,
            opening: $headline->opening,
            facts: $headline->facts,
            topics: $this->topics($results, $syllabus, $cut->toFloat()),
            sections: $paper ? $this->sections($results, $exam, $cut->toFloat()) : [],
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
                ] + ($row->section === null ? [] : ['section' => (string) $row->section]),
            );
        }

        return $results;
    }

    /** @param  array<string, string>  $labels */
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
