<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use App\Assembly\TestBuilder;
use App\Question\Candidacy;
use App\Sitting\RunningSittings;
use App\Sitting\Sitting;
use App\Workshop\BankLoader;
use App\Workshop\InvalidBank;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Filter\TopicFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Spread;

final class BuilderTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->candidate());
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badRecipes(): iterable
    {
        yield 'no questions' => [['count' => 0], 'A test needs at least 1 question. Choose a number from 1 to 500.'];
        yield 'too many' => [['count' => 501], 'A test can have up to 500 questions. Choose a smaller number.'];
        yield 'no number' => [['count' => 'ten'], 'Say how many questions you want as a whole number, from 1 to 500.'];
        yield 'an unknown topic' => [
            ['topics' => ['moon']],
            'This exam has no topic "moon". Reload the page and choose from those it has.',
        ];
        yield 'no topic' => [['topics' => []], 'Choose at least one topic.'];
        yield 'an unknown pool' => [['pools' => ['easy']], 'There is no such pool of questions.'];
        yield 'an unknown mode' => [['mode' => 'nap'], 'Choose tutor, timed or untimed.'];
        yield 'more than there are' => [
            ['topics' => ['water'], 'count' => 5],
            'There are 4 questions with these choices, and you asked for 5. Ask for up to 4, or add the other topics (8 more).',
        ];
        yield 'a pool with nothing in it' => [
            ['pools' => ['missed']],
            'There are no questions with these choices, and you asked for 6. Include all pools (12 more).',
        ];
        yield 'no time' => [['minutes' => 0], 'A time limit needs at least 1 minute.'];
        yield 'four seconds a question' => [['secondsEach' => 4], 'A question needs at least 5 seconds.'];
        yield 'part of a second' => [['secondsEach' => 7.5], 'Give the time for each question in whole seconds.'];
        yield 'seconds beside minutes' => [
            ['secondsEach' => 30, 'minutes' => 9],
            'Either each question has its seconds, in timed mode, or the whole test its minutes.',
        ];
    }

    /** @param  array<string, mixed>  $wrong */
    #[DataProvider('badRecipes')]
    public function test_a_bad_recipe_gets_a_sentence_and_leaves_nothing_behind(array $wrong, string $sentence): void
    {
        $this->exam();
        $this->postJson(
            '/api/exams/small-hills/tests',
            $wrong + ['topics' => ['ridge', 'water'], 'pools' => [], 'count' => 6, 'mode' => 'timed'],
        )
            ->assertStatus(422)
            ->assertJsonPath('message', $sentence);

        self::assertSame(
            [0, 0, 0],
            [DB::table('tests')->count(), DB::table('recipes')->count(), DB::table('sittings')->count()],
        );
    }

    public function test_the_count_says_the_same_before_anything_is_built(): void
    {
        $this->exam();
        $this->postJson('/api/exams/small-hills/count', [
            'topics' => ['water'],
            'pools' => [],
            'count' => 5,
            'mode' => 'timed',
        ])
            ->assertOk()
            ->assertJsonPath('available', 4)
            ->assertJsonPath('minutes', 8)
            ->assertJsonPath(
                'shortfall.sentence',
                'There are 4 questions with these choices, and you asked for 5. Ask for up to 4, or add the other topics (8 more).',
            );
    }

    public function test_questions_are_spread_as_the_exam_weighs_its_topics(): void
    {
        $sitting = $this->build(['count' => 10]);
        $codes = DB::table('test_items')
            ->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->join('topics', 'topics.id', '=', 'questions.topic_id')
            ->pluck('topics.code');

        self::assertSame(
            [6, 4],
            [
                $codes->filter(fn (mixed $code): bool => str_starts_with((string) $code, 'ridge'))->count(),
                $codes->filter(fn (mixed $code): bool => $code === 'water.ford')->count(),
            ],
        );
        self::assertSame(10, Sitting::query()->findOrFail($sitting)->questions);
    }

    public function test_a_tutor_test_leaves_out_what_a_running_clock_still_asks_for(): void
    {
        $this->actingAs($this->candidate());
        $timed = $this->build(['mode' => 'timed', 'count' => 6]);
        $count = fn (array $choices): array => $this->postJson(
            "/api/exams/{$this->exam()->slug}/count",
            $choices + ['topics' => ['ridge', 'water'], 'pools' => [], 'count' => 6, 'mode' => 'tutor'],
        )
            ->assertOk()
            ->json();
        $all = $count([])['available'];
        self::assertNull($count([])['leftOut']);

        $this->open($timed);
        self::assertSame($all - 6, $count([])['available']);
        self::assertSame(
            '6 questions are left out: they are in a timed test of yours that is not handed in'
                .' (or that you deleted in the last ten minutes).',
            $count([])['leftOut'],
        );
        // Where no answers are shown nothing is left out.
        self::assertSame($all, $count(['mode' => 'timed'])['available']);
        $tutor = $this->build(['mode' => 'tutor', 'count' => $all - 6]);
        self::assertSame([], array_intersect($this->questionsOf($timed), $this->questionsOf($tutor)));
        // Somebody else's clock is no matter.
        $this->flushSession()->actingAs($this->candidate());
        self::assertSame($all, $count([])['available']);
        $this->flushSession()->actingAs(Sitting::query()->findOrFail($timed)->user);
        // Overdue is not over: whoever was away may still come back to it.
        $this->travel(3)->hours();
        self::assertSame($all - 6, $count([])['available']);
        $this->open($timed);
        $this->handIn($timed)->assertOk();
        self::assertSame($all, $count([])['available']);
    }

    public function test_the_time_of_the_exam_is_rounded_up_from_what_it_is_exactly(): void
    {
        // As floats 1.1 times 10 is a hair more than 11.
        self::assertSame(12, (int) ceil(10 * 1.1 + 1e-12));
        $exam = $this->exam();
        foreach ([['1.1', 10, 11], ['1.1', 11, 13], ['1.5', 3, 5], ['2', 7, 14]] as [$each, $questions, $minutes]) {
            $exam->forceFill(['rules' => ['minutesPerQuestion' => $each] + $exam->rules])->save();
            self::assertSame($minutes, TestBuilder::minutesFor($exam, $questions));
        }
    }

    public function test_marks_and_what_a_wrong_answer_costs_are_as_chosen(): void
    {
        $this->actingAs($this->candidate());
        $exam = $this->exam();
        DB::table('question_versions')->update(['marks' => '3']);
        $rules = $exam->rules + ['minutes' => 60, 'scale' => ['low' => 0, 'high' => 100, 'cut' => 60]];
        $rules['sections'] = [
            ['code' => 'a', 'name' => 'A', 'questions' => 5, 'marks' => 1, 'penalty' => '1/3', 'kinds' => ['single']],
        ];
        $exam->update(['rules' => $rules]);
        $worth = function (array $choices): array {
            $test = Sitting::query()->findOrFail($this->build($choices + ['count' => 3, 'pools' => []]))->test_id;

            return DB::table('test_items')->where('test_id', $test)->distinct()->get(['marks', 'penalty'])
                ->map(fn (object $item): array => [$item->marks, $item->penalty])->all();
        };
        self::assertSame([['3', '0']], $worth([]));
        self::assertSame([['1', '0']], $worth(['plain' => true]));
        self::assertSame([['3', '1/4']], $worth(['penalty' => '0.25']));
        self::assertSame([['1', '1/3']], $worth(['plain' => true, 'penalty' => 'exam']));
    }

    public function test_options_stand_as_written_where_that_was_chosen(): void
    {
        $this->actingAs($this->candidate());
        $orders = [];
        foreach ([false, false, true, true] as $shuffled) {
            $sitting = $this->build(['count' => 12, 'pools' => [], 'topics' => null, 'shuffled' => $shuffled]);
            foreach ($this->open($sitting)['questions'] as $question) {
                $ids = array_column($question['body']['options'], 'id');
                $orders[$shuffled ? 'shuffled' : 'written'][implode(' ', $ids)] = true;
            }
        }
        self::assertCount(12, $orders['written']);
        self::assertGreaterThan(12, count($orders['shuffled']));
    }

    public function test_a_unit_is_left_out_whole(): void
    {
        $this->actingAs($user = $this->candidate());
        $timed = $this->build(['mode' => 'timed', 'count' => 6]);
        $unit = DB::table('units')->insertGetId([
            'exam_id' => $this->exam()->id,
            'code' => 'set',
            'kind' => 'case',
            'questions' => 3,
        ]);
        DB::table('questions')
            ->limit(3)
            ->update(['unit_id' => $unit]);
        $sitting = Sitting::query()->findOrFail($timed);
        DB::table('test_items')->where('test_id', $sitting->test_id)->where('position', '>', 0)->delete();
        DB::table('test_items')
            ->where('test_id', $sitting->test_id)
            ->update([
                'question_id' => DB::table('questions')->where('unit_id', $unit)->value('id'),
            ]);
        $this->open($timed);

        self::assertEqualsCanonicalizing(
            DB::table('questions')->where('unit_id', $unit)->pluck('id')->all(),
            app(RunningSittings::class)->heldBack($user),
        );
    }

    /** @return list<int> */
    private function questionsOf(string $sitting): array
    {
        return DB::table('test_items')
            ->where('test_id', Sitting::query()->findOrFail($sitting)->test_id)
            ->pluck('question_id')
            ->all();
    }

    public function test_the_same_seed_gives_the_same_test(): void
    {
        $exam = $this->exam();
        $user = $this->candidate();
        $recipe = new Recipe(
            new Filters(new TopicFilter(['ridge', 'water'])),
            count: 7,
            mode: Mode::Tutor,
            spread: Spread::Even,
        );
        $drawn = fn (string $seed): array => DB::table('test_items')
            ->where('test_id', app(TestBuilder::class)->build(new Candidacy($user, $exam), $recipe, $seed)->id)
            ->orderBy('position')
            ->pluck('question_id')
            ->all();

        self::assertSame($drawn('a seed'), $drawn('a seed'));
        self::assertNotSame($drawn('a seed'), $drawn('another seed'));
    }

    public function test_an_unknown_exam_is_not_found(): void
    {
        $this->getJson('/api/exams/nowhere/builder')->assertNotFound();
        $this->getJson('/api/exams/nowhere/today')->assertNotFound();
    }

    public function test_a_bank_with_a_fault_is_refused_whole_and_says_where(): void
    {
        $folder = sys_get_temp_dir().'/uplandia-bad-'.getmypid();
        @mkdir("{$folder}/questions", 0777, true);
        copy(__DIR__.'/../exam/exam.yaml', "{$folder}/exam.yaml");
        file_put_contents(
            "{$folder}/questions/bad.yaml",
            "- {id: q1, subtopic: ridge.path, difficulty: easy, stem: S, rationale: R, options: [{text: A, why: W}, {text: B, why: W}]}\n- {subtopic: ridge.path}\n",
        );
        try {
            app(BankLoader::class)->load($folder);
            self::fail('It was taken in.');
        } catch (InvalidBank $invalid) {
            self::assertStringContainsString(
                'bad.yaml, q1: Exactly one option must be marked',
                $invalid->getMessage(),
            );
            self::assertStringContainsString('a question without an id: "id" is missing', $invalid->getMessage());
        }
        self::assertSame(0, DB::table('exams')->count());
    }
}
