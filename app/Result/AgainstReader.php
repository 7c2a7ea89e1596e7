<?php

declare(strict_types=1);

namespace App\Result;

use App\Question\PlainExcerpt;
use App\Question\Syllabus;
use App\Sitting\Sitting;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Result\Breakdown;
use Uplandia\Core\Result\Group;
use Uplandia\Core\Result\Shift;
use Uplandia\Core\Result\SurenessReport;

/** Holds two sittings of one candidate against each other: in all, by topic, and on the questions they share. */
final readonly class AgainstReader
{
    public function __construct(private SatQuestions $questions)
    {
    }

    public function of(Sitting $one, Sitting $other): AgainstView
    {
        [$earlier, $later] = [$one->ended_ms, $one->id] <= [$other->ended_ms, $other->id]
            ? [$one, $other]
            : [$other, $one];
        $earlier->loadMissing('test.exam');
        $later->loadMissing('test.exam');
        $exam = $later->test->exam;
        $cut = (float) $exam->rules['cut'];
        $before = $this->questions->of($earlier);
        $after = $this->questions->of($later);
        $adaptive = $earlier->test->adaptive !== null || $later->test->adaptive !== null;
        [$was, $is] = [self::whole($before, $cut), self::whole($after, $cut)];
        $topics = [];
        $byBefore = Breakdown::by(array_column($before, 'result'), 'topic', $cut);
        $byAfter = Breakdown::by(array_column($after, 'result'), 'topic', $cut);
        foreach ($adaptive ? [] : Syllabus::of($exam)->tops() as $topic) {
            $pair = [$byBefore[$topic->name] ?? null, $byAfter[$topic->name] ?? null];
            if ($pair !== [null, null]) {
                $topics[] = self::topic($topic->code, $topic->name, ...$pair);
            }
        }

        return new AgainstView(
            exam: $exam->slug,
            earlier: self::side($earlier, $before, $was),
            later: self::side($later, $after, $is),
            shift: $adaptive ? null : ShiftView::of(Shift::of($was, $is)),
            adaptive: $adaptive,
            topics: $topics,
            again: self::again($before, $after),
        );
    }

    /** @param  list<SatQuestion>  $sat */
    private static function whole(array $sat, float $cut): Group
    {
        return Breakdown::whole(array_column($sat, 'result'), $cut);
    }

    /** @param  list<SatQuestion>  $sat */
    private static function side(Sitting $sitting, array $sat, Group $whole): SideView
    {
        $view = GroupView::of(code: '', name: $sitting->name, group: $whole);

        return new SideView(
            sitting: $sitting->id,
            title: $sitting->name,
            mode: $sitting->mode,
            endedAt: (int) $sitting->ended_ms,
            activeMs: $sitting->active_ms,
            counts: $sitting->counts,
            whole: $sitting->test->adaptive === null ? $view : $view->withoutShares(),
            calibration: CalibrationView::of(SurenessReport::of(array_column($sat, 'result'))),
        );
    }

    private static function topic(string $code, string $name, ?Group $earlier, ?Group $later): TopicShiftView
    {
        $view = fn (?Group $group): ?GroupView => $group === null
            ? null
            : GroupView::of(code: $code, name: $name, group: $group);

        return new TopicShiftView(
            name: $name,
            earlier: $view($earlier),
            later: $view($later),
            shift: $earlier === null || $later === null ? null : ShiftView::of(Shift::of($earlier, $later)),
        );
    }

    /**
     * @param  list<SatQuestion>  $before
     * @param  list<SatQuestion>  $after
     * @return list<MetAgainView>
     */
    private static function again(array $before, array $after): array
    {
        $first = [];
        foreach ($before as $one) {
            $first[$one->questionId] = $one;
        }
        $again = [];
        foreach ($after as $later) {
            $earlier = $first[$later->questionId] ?? null;
            if ($earlier !== null) {
                $again[] = new MetAgainView(
                    excerpt: PlainExcerpt::of($later->stem()),
                    topic: $later->topic,
                    earlierPosition: $earlier->result->position,
                    laterPosition: $later->result->position,
                    earlier: $earlier->result->credit->outcome,
                    later: $later->result->credit->outcome,
                    by: self::credit($earlier) === null || self::credit($later) === null
                        ? null
                        : self::credit($later) - self::credit($earlier),
                );
            }
        }

        return $again;
    }

    /** @return float|null null: it waits to be marked, or was never met */
    private static function credit(SatQuestion $one): ?float
    {
        return match ($one->result->credit->outcome) {
            Outcome::Pending, Outcome::NotReached => null,
            default => $one->result->share(),
        };
    }
}
