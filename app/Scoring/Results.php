<?php

declare(strict_types=1);

namespace App\Scoring;

use App\Assembly\Syllabus;
use App\Sitting\Sitting;
use Brick\Math\BigRational;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Scoring\Marked;
use Uplandia\Core\Scoring\MarkScheme;
use Uplandia\Core\Scoring\Shown;
use Uplandia\Core\Scoring\Status;
use Uplandia\Core\Scoring\Totals;

/** Reads the result of a sitting that was handed in. */
final class Results
{
    /** Below this share of answers a sitting stays out of statistics (computation.md, section 7). */
    private const COUNTS_FROM = 0.8;

    public function of(Sitting $sitting): ResultView
    {
        $sitting->loadMissing('test.exam');
        $exam = $sitting->test->exam;
        $syllabus = Syllabus::of($exam);
        $rows = DB::table('outcomes')->join('test_items', fn ($join) => $join->on('test_items.position', '=', 'outcomes.position')->where('test_items.test_id', $sitting->test_id))
            ->where('outcomes.sitting_id', $sitting->id)->get(['topic_id', 'outcome', 'credit', 'test_items.marks', 'test_items.penalty', 'active_ms', 'test_items.section']);
        $cut = (float) $exam->rules['cut'];
        $byTop = $rows->groupBy(fn (object $row): int => $syllabus->topOf((int) $row->topic_id)->id);
        $topics = [];
        foreach ($syllabus->tops() as $top) {
            if (! isset($byTop[$top->id])) {
                continue;
            }
            $subtopics = [];
            foreach ($syllabus->under($top) as $sub) {
                $own = $byTop[$top->id]->where('topic_id', $sub->id);
                if ($own->isNotEmpty()) {
                    $subtopics[] = new TopicTallyView($sub->code, $sub->name, $this->tally($own), $this->status($own, $cut), []);
                }
            }
            $topics[] = new TopicTallyView($top->code, $top->name, $this->tally($byTop[$top->id]), $this->status($byTop[$top->id], $cut), $subtopics);
        }

        return new ResultView(
            $sitting->id, $exam->slug, $sitting->test->title, $sitting->test->mode, (int) $sitting->started_ms, (int) $sitting->ended_ms, $sitting->by_clock, $sitting->active_ms,
            $sitting->terms()->limit, $this->tally($rows), Shown::percent(BigRational::of($exam->rules['cut'])), $sitting->answered >= self::COUNTS_FROM * $sitting->questions, $topics,
            $this->sections($sitting, $rows, $cut), $this->scaled($sitting, $rows),
        );
    }

    /**
     * @param  Collection<int, \stdClass>  $rows
     * @return list<TopicTallyView>
     */
    private function sections(Sitting $sitting, Collection $rows, float $cut): array
    {
        $sections = [];
        foreach ($sitting->test->paper_id === null ? [] : $sitting->test->exam->blueprint()->sections as $section) {
            $own = $rows->where('section', $section->code);
            if ($own->isNotEmpty()) {
                $sections[] = new TopicTallyView($section->code, $section->name, $this->tally($own), $this->status($own, $cut), []);
            }
        }

        return $sections;
    }

    /** @param  Collection<int, \stdClass>  $rows */
    private function scaled(Sitting $sitting, Collection $rows): ?ScaledView
    {
        $share = $this->totals($rows)->shareOfAll();

        return $sitting->test->paper_id === null || $share === null || $rows->contains('outcome', Outcome::Pending->value) ? null : ScaledView::of($sitting->test->exam->blueprint()->scale, $share);
    }

    /** @param  Collection<int, \stdClass>  $rows */
    private function totals(Collection $rows): Totals
    {
        return Totals::of($rows->map(fn (object $row): Marked => new Marked($this->credit($row), new MarkScheme((string) $row->marks, (string) $row->penalty))));
    }

    /** @param  Collection<int, \stdClass>  $rows */
    private function tally(Collection $rows): TallyView
    {
        $answered = $rows->where('outcome', '!=', Outcome::LeftBlank->value);
        $mean = $answered->isEmpty() ? null : (int) round($answered->sum(fn (object $row): int => (int) $row->active_ms) / $answered->count());

        return TallyView::of($this->totals($rows), $mean);
    }

    /** @param  Collection<int, \stdClass>  $rows */
    private function status(Collection $rows, float $cut): string
    {
        $rows = $rows->where('outcome', '!=', Outcome::Pending->value);
        $credit = $rows->sum(fn (object $row): float => $this->credit($row)->share?->toFloat() ?? 0.0);

        return Status::against($cut, $credit, $rows->count())->value;
    }

    private function credit(object $row): Credit
    {
        return match (Outcome::from((string) $row->outcome)) {
            Outcome::LeftBlank => Credit::leftBlank(),
            Outcome::Pending => Credit::pending(),
            default => Credit::of(BigRational::of((string) $row->credit)),
        };
    }
}
