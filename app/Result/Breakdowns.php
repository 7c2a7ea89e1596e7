<?php

declare(strict_types=1);

namespace App\Result;

use App\Question\Exam;
use App\Question\Syllabus;
use Brick\Math\BigRational;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Result\Breakdown;
use Uplandia\Core\Result\Group;
use Uplandia\Core\Result\QuestionResult;

/** What questions have in common, in the order in which it is read, and what each group of them came to. */
final class Breakdowns
{
    /**
     * @param  list<QuestionResult>  $results
     * @param  bool  $sections  whether it has the exam's
     * @return list<BreakdownView>
     */
    public function of(array $results, Exam $exam, bool $sections): array
    {
        $syllabus = Syllabus::of($exam);
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
                fn (string $label): bool => str_starts_with($label, SatQuestions::TAG),
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
}
