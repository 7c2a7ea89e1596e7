<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Refusal;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Sitting\QuickTest;
use App\Sitting\Sitting;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filter\TopicFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Result\Breakdown;
use Uplandia\Core\Result\FollowUp;
use Uplandia\Core\Result\Group;
use Uplandia\Core\Result\QuestionResult;
use Uplandia\Core\Shown;

/** The next test, ready-made from what a result shows. The core decides what it is about. */
final readonly class FollowUps
{
    public function __construct(
        private QuickTest $quick,
        private SatQuestions $questions,
    ) {
    }

    /**
     * @param  list<QuestionResult>  $results
     * @return FollowUpView|null null: there is nothing to ask
     */
    public function offer(Sitting $sitting, array $results): ?FollowUpView
    {
        $syllabus = Syllabus::of($sitting->test->exam);
        $about = self::about($sitting->test->exam, $syllabus, $results);
        $count = $this->quick->count(
            candidacy: $sitting->candidacy(),
            filters: self::filters($about),
            most: FollowUp::QUESTIONS,
        );

        return $count < 1 ? null : new FollowUpView($count, self::sentence($count, $about, $syllabus));
    }

    /** @throws Refusal when there is nothing to ask any more */
    public function begin(Sitting $sitting): Sitting
    {
        $sitting->loadMissing('test.exam', 'user');
        if ($sitting->test->adaptive !== null) {
            throw Refusal::conflict('adaptive', 'What an adaptive test asks says nothing of topics. Build another test.');
        }
        $exam = $sitting->test->exam;
        $syllabus = Syllabus::of($exam);
        $results = array_column($this->questions->of($sitting), 'result');

        return $this->quick->begin(
            candidacy: $sitting->candidacy(),
            filters: self::filters(self::about($exam, $syllabus, $results)),
            most: FollowUp::QUESTIONS,
            otherwise: 'There is nothing left to ask on what this test showed. Build another test.',
        );
    }

    /** @param  list<QuestionResult>  $results */
    private static function about(Exam $exam, Syllabus $syllabus, array $results): ?FollowUp
    {
        $groups = Breakdown::by($results, 'topic', (float) $exam->rules['cut']);
        $byCode = [];
        foreach ($syllabus->tops() as $top) {
            $group = $groups[$top->name] ?? null;
            $byCode += $group instanceof Group ? [$top->code => $group] : [];
        }

        return FollowUp::of($byCode);
    }

    private static function filters(?FollowUp $about): Filters
    {
        return $about === null
            ? new Filters(new PoolFilter(Pool::NewToMe))
            : new Filters(
                new TopicFilter($about->topics),
                new PoolFilter(Pool::NewToMe, Pool::Missed, Pool::Partly, Pool::LeftBlank),
            );
    }

    /** Whole from ten on: nobody asks for the hundredth of many marks. */
    private static function few(BigRational $marks): string
    {
        return $marks->isLessThan(10) ? Shown::decimal($marks) : (string) $marks->toScale(0, RoundingMode::HALF_UP);
    }

    private static function sentence(int $count, ?FollowUp $about, Syllabus $syllabus): string
    {
        $questions = Shown::count($count, 'question', 'questions');
        if ($about === null) {
            return "{$questions} that are new to you, over all topics: nothing was lost here.";
        }
        $names = array_map(fn (string $code): string => $syllabus->named($code)->name, $about->topics);
        $last = array_pop($names);
        $topics = $names === [] ? $last : implode(', ', $names)." and {$last}";
        $lost = self::few($about->lost);
        $all = self::few($about->lostInAll);
        $marks = $all === '1' ? 'mark' : 'marks';
        $where = $about->lost->isEqualTo($about->lostInAll)
            ? "all that was lost ({$all} {$marks})"
            : "{$lost} of the {$all} lost {$marks}";

        return "{$questions} on {$topics}, where {$where} went: new ones first, then what you missed, got partly or left blank.";
    }
}
