<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\Test;
use App\Question\Exam;
use App\Question\OwnStandings;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Progress\Adaptive;
use Uplandia\Core\Progress\AdaptiveItem;
use Uplandia\Core\Question\Kind;

/** The questions of an exam that an adaptive test may ask, as its candidate and the tests before it have met them. */
final readonly class AdaptiveBank
{
    /** How often a question has been asked is told by so many tests before. */
    private const TESTS_BEFORE = 200;

    /** @param  list<SyllabusTopic>  $topics  at the top, in the order of the blueprint */
    private function __construct(private Exam $exam, private Syllabus $syllabus, public array $topics)
    {
    }

    public static function of(Exam $exam): self
    {
        $syllabus = Syllabus::of($exam);

        return new self($exam, $syllabus, $syllabus->tops());
    }

    /** @param  int  $most  questions */
    public function test(int $most): Adaptive
    {
        $bank = Scale::items($this->exam, $this->syllabus);

        return new Adaptive(
            estimator: Scale::estimator($this->exam),
            bank: array_map(fn (SyllabusTopic $topic): array => $bank[$topic->id] ?? [], $this->topics),
            weights: array_map(fn (SyllabusTopic $topic): float => (float) $topic->weight, $this->topics),
            cut: (float) $this->exam->rules['cut'],
            most: $most,
        );
    }

    /** How many questions a test could ask at most: those that stand alone, and one of each unit. */
    public function reach(): int
    {
        $topics = [];
        foreach ($this->topics as $place => $topic) {
            $topics = (float) $topic->weight > 0 ? [...$topics, ...$this->within($place)] : $topics;
        }
        $questions = $this->questions($topics);

        return (clone $questions)->whereNull('questions.unit_id')->count() +
            $questions->whereNotNull('questions.unit_id')->distinct()->count('questions.unit_id');
    }

    /**
     * @param  int  $place  of the topic
     * @param  Test|null  $test  that asks; null: one that is not made yet
     * @return list<AdaptiveItem> all of the topic that could be asked, whether it was already or not
     */
    public function items(int $place, int $user, ?Test $test): array
    {
        $asked = $this->asked($test);
        $rows = OwnStandings::beside($this->questions($this->within($place)), $user)
            ->select([
                'questions.id', 'questions.topic_id', 'questions.unit_id', 'questions.b', 'questions.luck',
                'standings.outcome',
            ]);
        $items = [];
        foreach ($rows->cursor() as $row) {
            $items[] = $this->item(row: $row, place: $place, exposure: $asked[(int) $row->id] ?? 0.0);
        }

        return $items;
    }

    /**
     * What a test has asked by now.
     *
     * @return array<int, AdaptiveItem> by position, in order
     */
    public function askedBy(Test $test): array
    {
        $places = array_flip(array_column($this->topics, 'id'));
        $rows = DB::table('test_items')
            ->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->where('test_items.test_id', $test->id)
            ->orderBy('test_items.position')
            ->get([
                'test_items.position', 'questions.id', 'questions.topic_id', 'questions.unit_id', 'questions.b',
                'questions.luck',
            ]);
        $items = [];
        foreach ($rows as $row) {
            $place = $places[$this->syllabus->topOf((int) $row->topic_id)->id];
            $items[(int) $row->position] = $this->item(row: $row, place: $place, exposure: 0.0);
        }

        return $items;
    }

    private function item(stdClass $row, int $place, float $exposure): AdaptiveItem
    {
        return new AdaptiveItem(
            id: (int) $row->id,
            topic: $place,
            b: (float) $row->b,
            c: (float) $row->luck,
            unit: $row->unit_id === null ? null : (int) $row->unit_id,
            exposure: $exposure,
            met: ($row->outcome ?? null) !== null,
        );
    }

    /**
     * Written answers are marked by the candidate afterwards: nothing could go by them.
     *
     * @param  list<int>  $topics  ids
     */
    private function questions(array $topics): Builder
    {
        return DB::table('questions')
            ->whereIntegerInRaw('questions.topic_id', $topics)
            ->whereNull('questions.retired_at')
            ->where('questions.kind', '!=', Kind::Written->value);
    }

    /** @return list<int> ids of a topic at the top and of all under it */
    private function within(int $place): array
    {
        $top = $this->topics[$place];

        return [$top->id, ...array_column($this->syllabus->under($top), 'id')];
    }

    /** @return array<int, float> question id => the share of the tests before that it was in */
    private function asked(?Test $test): array
    {
        $before = DB::table('tests')
            ->where('exam_id', $this->exam->id)
            ->whereNotNull('adaptive')
            ->when($test !== null, fn (Builder $tests) => $tests->where('id', '<', $test?->id))
            ->orderByDesc('id')
            ->limit(self::TESTS_BEFORE)
            ->pluck('id')
            ->all();
        $times = DB::table('test_items')
            ->whereIn('test_id', $before)
            ->groupBy('question_id')
            ->selectRaw('question_id, count(*) as times')
            ->pluck('times', 'question_id');

        return $times->map(fn (mixed $n): float => (is_numeric($n) ? (float) $n : 0.0) / count($before))->all();
    }
}
