<?php

declare(strict_types=1);

namespace Tests\Feature\Question;

use App\Assembly\Bank;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Workshop\BankLoader;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Filter\WordFilter;
use Uplandia\Core\Assembly\Filters;

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
    #[TestWith(['match', 0])]
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
