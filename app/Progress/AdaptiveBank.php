<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\Selection;
use App\Assembly\Test;
use App\Question\OwnStandings;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Progress\Adaptive;
use Uplandia\Core\Progress\AdaptiveItem;
use Uplandia\Core\Question\Kind;

/** The questions that an adaptive test may ask, as its candidate and the tests before it have met them. */
final readonly class AdaptiveBank
{
    /** How often a question has been asked is told by so many tests before. */
    private const TESTS_BEFORE = 200;

    /** @param  list<SyllabusTopic>  $topics  at the top, in the order of the blueprint: those that are chosen */
    private function __construct(private Selection $selection, private array $topics)
    {
    }

    public static function of(Selection $selection): self
    {
        $syllabus = $selection->bank->candidacy->syllabus();
        $chosen = [];
        foreach (array_keys($selection->topics()) as $topic) {
            $chosen[$syllabus->topOf($topic)->id] = true;
        }

        return new self(
            $selection,
            array_values(array_filter($syllabus->tops(), fn (SyllabusTopic $top): bool => isset($chosen[$top->id]))),
        );
    }

    /**
     * What is expected is expected of all questions of the chosen topics.
     *
     * @param  int  $most  questions
     */
    public function test(int $most): Adaptive
    {
        $exam = $this->selection->bank->candidacy->exam;
        $bank = Scale::items($exam, $this->syllabus(), array_keys($this->selection->topics()));

        return new Adaptive(
            estimator: Scale::estimator($exam),
            bank: array_map(fn (SyllabusTopic $topic): array => $bank[$topic->id] ?? [], $this->topics),
            weights: array_map(fn (SyllabusTopic $topic): float => (float) $topic->weight, $this->topics),
            cut: (float) $exam->rules['cut'],
            most: $most,
        );
    }

    /**
     * @param  int  $place  of the topic
     * @param  Test|null  $test  that asks; null: one that is not made yet
     * @return list<AdaptiveItem> all of the topic that could be asked, whether it was already or not
     */
    public function items(int $place, ?Test $test): array
    {
        $asked = $this->asked($test);
        $user = $this->selection->bank->candidacy->user->id;
        $rows = OwnStandings::beside($this->questions($this->within($place)), $user)
            ->select([
                'questions.id', 'questions.topic_id', 'questions.unit_id', 'questions.b', 'questions.luck',
                'standings.outcome',
            ]);
        $items = [];
        foreach ($rows->cursor() as $row) {
            $items[(int) $row->id] = $this->item(row: $row, place: $place, exposure: $asked[(int) $row->id] ?? 0.0);
        }
        $passing = $this->selection->passing()->among(array_keys($items));

        return array_values(array_intersect_key($items, array_flip($passing)));
    }

    /**
     * What a test has asked by now. (Of a topic that has been moved out of what was chosen, nothing is known.)
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
            $place = $places[$this->syllabus()->topOf((int) $row->topic_id)->id] ?? null;
            if ($place !== null) {
                $items[(int) $row->position] = $this->item(row: $row, place: $place, exposure: 0.0);
            }
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

    /** @return list<int> ids of what is chosen of a topic at the top */
    private function within(int $place): array
    {
        $top = $this->topics[$place]->id;

        return array_values(array_filter(
            array_keys($this->selection->topics()),
            fn (int $topic): bool => $this->syllabus()->topOf($topic)->id === $top,
        ));
    }

    private function syllabus(): Syllabus
    {
        return $this->selection->bank->candidacy->syllabus();
    }

    /** @return array<int, float> question id => the share of the tests before that it was in */
    private function asked(?Test $test): array
    {
        $before = DB::table('tests')
            ->where('exam_id', $this->selection->bank->candidacy->exam->id)
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
