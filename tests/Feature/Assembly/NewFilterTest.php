<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use App\Assembly\Bank;
use App\Assembly\Counting;
use App\Assembly\TestBuilder;
use App\Http\Contract\Contract;
use App\Http\Refusal;
use App\Question\Candidacy;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Filter\BankSets;
use Uplandia\Core\Assembly\Filter\Filter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\QuestionSet;

/** A filter is one class: one that is made up here counts, draws and is a way out like any other. */
final class NewFilterTest extends TestCase
{
    private function recipe(int $count, bool $odd = true): Recipe
    {
        return Recipe::of(
            ['count' => $count, 'mode' => 'tutor', 'difficulties' => ['easy'], 'odd' => $odd],
            [...Filters::KNOWN, OddFilter::class],
        );
    }

    public function test_a_new_filter_is_one_class(): void
    {
        $candidacy = new Candidacy($this->candidate(), $this->exam());
        DB::table('questions')->update(['difficulty' => 'easy']);
        app(\App\Question\Tallies::class)->renew($candidacy->exam->id);
        $odd = DB::table('questions')->whereRaw('id % 2 = 1')->count();
        $all = DB::table('questions')->count();
        self::assertGreaterThan($odd, $all);

        self::assertSame($odd, app(Counting::class)->count($candidacy, $this->recipe(1))->available);
        self::assertSame($all, app(Counting::class)->count($candidacy, $this->recipe(1, odd: false))->available);
        $test = app(TestBuilder::class)->build($candidacy, $this->recipe($odd));
        $drawn = DB::table('test_items')->where('test_id', $test->id)->pluck('question_id');
        self::assertCount($odd, $drawn);
        self::assertSame([1], $drawn->map(fn (int $id): int => $id % 2)->unique()->all());
        self::assertTrue($this->recipe(3)->toArray()['odd']);
        self::assertEquals($this->recipe(3), Recipe::of(
            $this->recipe(3)->toArray(),
            [...Filters::KNOWN, OddFilter::class],
        ));
        try {
            app(TestBuilder::class)->build($candidacy, $this->recipe($odd + 1));
            self::fail('There are not as many.');
        } catch (Refusal $short) {
            self::assertStringContainsString('even ones too ('.($all - $odd).' more)', $short->getMessage());
        }
        $beside = app(Bank::class)->selection($candidacy, $this->recipe(1)->filters);
        self::assertSame($odd, $beside->passing()->count());
    }

    public function test_each_filter_there_is_has_its_place_in_the_contract(): void
    {
        $contract = json_decode(Contract::json(), true);
        $shapes = $contract['components']['schemas']['RecipeRequest']['properties'];
        self::assertSame(
            array_map(fn (string $filter): string => $filter::key(), Filters::KNOWN),
            $contract['components']['schemas']['Gain']['properties']['filter']['enum'],
        );
        foreach (Filters::KNOWN as $filter) {
            self::assertArrayHasKey($filter::key(), $shapes);
            self::assertNotSame('', $filter::wayOut());
        }
    }
}

final readonly class OddFilter implements Filter
{
    public static function key(): string
    {
        return 'odd';
    }

    public static function read(Fields $choices): ?self
    {
        return $choices->flag(self::key()) ? new self() : null;
    }

    public static function unused(): bool
    {
        return false;
    }

    public static function wayOut(): string
    {
        return 'even ones too';
    }

    public function chosen(): bool
    {
        return true;
    }

    public function passing(BankSets $bank): array
    {
        return ['_odd' => QuestionSet::of(array_values(
            array_filter($bank->live()->ids(), fn (int $id): bool => $id % 2 === 1),
        ))];
    }
}
