<?php

declare(strict_types=1);

namespace Tests\Feature\Question;

use App\Assembly\Bank;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\TextSearch;
use App\Workshop\BankLoader;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Filter\WordFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\SearchText;

/**
 * What candidates may see of questions can be searched, by any text at all; what they may not see is never searched.
 */
final class TextSearchTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        app(BankLoader::class)->load(__DIR__.'/../kinds');
    }

    private function found(string $words): int
    {
        $exam = Exam::query()->where('slug', 'kinds')->firstOrFail();
        $bank = app(Bank::class);

        return $bank->available($bank->selection(
            candidacy: new Candidacy($this->candidate(), $exam),
            filters: new Filters(new WordFilter($words)),
        ));
    }

    #[TestWith(['', 15])]
    #[TestWith(['!?', 15])]
    #[TestWith(['MATCHING', 1])]
    #[TestWith(['mätching', 1])]
    #[TestWith(['match', 1])]
    #[TestWith(['matches', 1])]
    #[TestWith(['matc', 0])]
    #[TestWith(['match*', 1])]
    #[TestWith(['"how far"', 1])]
    #[TestWith(['"far how"', 0])]
    #[TestWith(['far how', 1])]
    #[TestWith(['order -first', 0])]
    #[TestWith(['order -moon', 1])]
    #[TestWith(['rained', 2])]
    #[TestWith(['SECRET', 0])]
    #[TestWith(['SECRETWORD', 0])]
    public function test_a_search_finds(string $words, int $questions): void
    {
        self::assertSame($questions, $this->found($words));
    }

    #[TestWith(['wind chill', true])]
    #[TestWith(['"wind chill"', true])]
    #[TestWith(['"chill wind"', false])]
    #[TestWith(['COLD föhn', true])]
    #[TestWith(['colds fronts', true])]
    #[TestWith(['col', false])]
    #[TestWith(['col*', true])]
    #[TestWith(['cold -warm', false])]
    #[TestWith(['cold -storm', true])]
    #[TestWith(['-storm', false])]
    #[TestWith(['', false])]
    #[TestWith(['?!', false])]
    public function test_a_few_texts_are_searched_as_questions_are(string $search, bool $found): void
    {
        $text = "The wind-chill of a *cold* front,\nand what the lee side makes of it. Föhn is warm.";
        self::assertSame(
            $found ? ['page'] : [],
            app(TextSearch::class)->among(['page' => $text, 'other' => 'Nothing'], SearchText::of($search)),
        );
    }

    public function test_a_topic_is_found_by_its_name_and_by_that_of_the_one_above_it(): void
    {
        foreach (DB::table('topics')->where('name', '!=', '')->get() as $topic) {
            $under = DB::table('questions')
                ->join('topics', 'topics.id', '=', 'questions.topic_id')
                ->whereNull('retired_at')
                ->where(
                    fn (Builder $of): Builder => $of
                        ->where('topics.id', $topic->id)
                        ->orWhere('parent_id', $topic->id),
                )
                ->count();
            self::assertGreaterThanOrEqual($under, $this->found("\"{$topic->name}\""), $topic->name);
        }
    }

    public function test_a_word_that_is_spelt_in_another_way_is_offered_as_the_bank_has_it(): void
    {
        $this->actingAs($this->candidate());
        $close = fn (string $words): TestResponse => $this->getJson(
            '/api/exams/kinds/close-words?words='.urlencode($words),
        );
        $close('matchng')->assertOk()->assertJsonPath('words', [['word' => 'matching', 'n' => 1]]);
        $close('mätchng')->assertOk()->assertJsonPath('words.0.word', 'matching');
        $close('ölmatch')->assertOk();
        $close('zzzzzz')->assertOk()->assertJsonPath('words', [])->assertJsonPath('topics', []);
        $topic = DB::table('topics')->first();
        $close(mb_strtoupper((string) $topic?->name))->assertJsonPath('topics.0.code', $topic?->code);
        $section = DB::table('handbook_sections')->first();
        $close((string) $section?->title)->assertJsonPath('sections.0.code', $section?->code);
        $close('')->assertStatus(422)->assertJsonPath('fields.words', ['Say what to look for.']);
        $close(str_repeat('a', 201))->assertStatus(422);
        $close('" OR 1 -- *^(')->assertOk();
    }

    #[TestWith(['" OR 1=1 --'])]
    #[TestWith(['stem:match NEAR(a b) ^x {y} (z'])]
    #[TestWith(["'; drop table questions; \0"])]
    #[TestWith(['AND OR NOT "'])]
    public function test_nothing_that_is_typed_is_an_error(string $words): void
    {
        self::assertGreaterThanOrEqual(0, $this->found($words));
        self::assertGreaterThanOrEqual(0, $this->found(str_repeat("{$words} ", 300)));
    }
}
