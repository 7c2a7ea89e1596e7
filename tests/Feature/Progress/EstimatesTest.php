<?php

declare(strict_types=1);

namespace Tests\Feature\Progress;

use App\Account\User;
use App\Progress\Estimate;
use App\Progress\Estimates;
use App\Progress\Looks;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\Syllabus;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;
use Uplandia\Core\Progress\AbilityEstimator;
use Uplandia\Core\Progress\Item;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\Prior;
use Uplandia\Core\Progress\Response;

final class EstimatesTest extends TestCase
{
    private const DAY_MS = 86_400_000;

    private Exam $exam;

    private User $user;

    protected function setUp(): void
    {
        parent::setUp();
        $this->exam = $this->exam();
        $this->actingAs($this->user = $this->candidate());
    }

    /** @return list<Response> */
    private function looks(): array
    {
        $syllabus = Syllabus::of($this->exam);

        return app(Looks::class)->of(
            candidacy: new Candidacy($this->user, $this->exam),
            places: array_flip(array_column($syllabus->tops(), 'id')),
            now: 1000 * self::DAY_MS,
        )->responses;
    }

    /**
     * @param  string|null  $code  of the question; null: the first of the bank
     * @param  array<string, mixed>  $part  of the row
     */
    private function outcome(int $day, ?string $code = null, array $part = []): void
    {
        $sitting = $this->build();
        $questions = DB::table('questions')->orderBy('id');
        $question = ($code === null ? $questions : $questions->where('code', $code))->firstOrFail();
        DB::table('outcomes')->insert($part + [
            'sitting_id' => $sitting, 'position' => 0, 'user_id' => $this->user->id, 'exam_id' => $this->exam->id,
            'question_id' => $question->id, 'version_id' => $question->version_id,
            'topic_id' => $question->topic_id, 'outcome' => 'right', 'shown' => 1, 'share' => 1.0, 'marks' => '1',
            'possible' => '1', 'changes' => 0, 'struck' => '[]', 'flagged' => 0, 'active_ms' => 30_000,
            'first_look' => 0, 'counts' => 1, 'settled_ms' => $day * self::DAY_MS, 'day' => $day,
        ]);
    }

    public function test_only_independent_looks_count_each_by_its_age(): void
    {
        foreach ([820, 830, 860] as $day) {
            $this->outcome($day);
        }
        // The second came ten days after the first; the third a month after the second.
        self::assertEqualsWithDelta([0.25, 2 ** (-140 / 90)], array_column($this->looks(), 'w'), 1e-9);
    }

    /** @return iterable<string, array{array<string, mixed>, bool}> */
    public static function kindsOfLooks(): iterable
    {
        yield 'right' => [[], true];
        yield 'not reached' => [['outcome' => 'not_reached', 'share' => null], false];
        yield 'not yet marked' => [['outcome' => 'pending', 'share' => null], false];
        yield 'faster than one can read' => [['active_ms' => 2_999], false];
        yield 'as fast as one can' => [['active_ms' => 3_000], true];
        yield 'a rapid guess by the cohort' => [['active_ms' => 5_999, 'cohort_ms' => 60_000], false];
        yield 'left blank on the way' => [['outcome' => 'left_blank', 'share' => null, 'active_ms' => 9], true];
        yield 'left blank by who gave up' => [['outcome' => 'left_blank', 'share' => null, 'counts' => 0], false];
    }

    /** @param  array<string, mixed>  $row */
    #[\PHPUnit\Framework\Attributes\DataProvider('kindsOfLooks')]
    public function test_what_tells_nothing_of_ability_is_left_out(array $row, bool $tells): void
    {
        $this->outcome(999, part: $row);
        self::assertCount($tells ? 1 : 0, $this->looks());
    }

    public function test_where_one_stands_is_what_the_model_says_of_the_answers(): void
    {
        $this->exam->forceFill(['cohort_deviation' => 0.7])->save();
        $codes = DB::table('questions')->orderBy('id')->pluck('code')->all();
        foreach (array_slice($codes, 0, 7) as $i => $code) {
            $b = [-1.2, 0.4, 0.9][$i % 3];
            DB::table('questions')->where('code', $code)->update(['b' => $b, 'luck' => 0.25]);
            $this->outcome(1000 - $i, $code, ['share' => $i % 3 === 0 ? 0.0 : 1.0]);
        }
        app(\App\Question\Tallies::class)->renew($this->exam->id);
        $this->travelTo(\Illuminate\Support\Carbon::createFromTimestampMs(1000 * self::DAY_MS));
        $syllabus = Syllabus::of($this->exam);
        $estimate = app(Estimates::class)->of(new Candidacy($this->user, $this->exam->refresh()));

        $responses = [];
        foreach (array_slice($codes, 0, 7) as $i => $code) {
            $question = DB::table('questions')->where('code', $code)->first();
            $responses[] = new Response(
                topic: (int) array_search($syllabus->topOf($question->topic_id), $syllabus->tops()),
                b: [-1.2, 0.4, 0.9][$i % 3],
                c: 0.25,
                x: $i % 3 === 0 ? 0.0 : 1.0,
                w: 2 ** (-$i / 90),
            );
        }
        $ability = (new AbilityEstimator(new Prior(0.0, 0.7)))->estimate($responses, count($syllabus->tops()));
        foreach ($syllabus->tops() as $place => $top) {
            $bank = DB::table('questions')->whereNull('retired_at')->get()
                ->filter(fn (object $one): bool => $syllabus->topOf($one->topic_id)->id === $top->id)
                ->map(fn (object $one): Item => new Item($one->b, $one->luck));
            self::assertEqualsWithDelta(
                Mastery::of($ability, $place, array_values($bank->all()))->share,
                $estimate->mastery[$place]?->share,
                1e-9,
            );
        }
        self::assertSame(7, array_sum($estimate->responses));
        self::assertFalse($estimate->gate->isOpen());
    }

    public function test_a_share_is_told_only_where_enough_was_answered(): void
    {
        $codes = DB::table('questions')->orderBy('id')->pluck('code')->all();
        $path = '/api/exams/small-hills/mastery';
        foreach (array_slice($codes, 0, Estimate::SHOWN_FROM - 1) as $code) {
            $this->outcome(intdiv((int) now()->getTimestampMs(), self::DAY_MS), $code);
        }
        $this->getJson($path)->assertOk()->assertJsonPath('topics.0.share', null)->assertJsonPath('cut', 0.65);
        $this->outcome(intdiv((int) now()->getTimestampMs(), self::DAY_MS), $codes[Estimate::SHOWN_FROM - 1]);
        // As whatever settles an outcome says.
        DB::table('kept_estimates')->increment('evidence');
        $told = $this->getJson($path)->json('topics.0');
        self::assertSame(Estimate::SHOWN_FROM, $told['responses']);
        self::assertTrue($told['low'] < $told['share'] && $told['share'] < $told['high']);
    }
}
