<?php

declare(strict_types=1);

namespace Tests\Feature\MyData;

use App\Cohort\CohortMarks;
use App\Cohort\FirstLooks;
use App\Question\Exam;
use App\Workshop\BankLoader;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\AnswersEveryKind;
use Tests\Feature\TestCase;

/** What was brought counts for its owner, and moves nobody else's figures. */
final class ForgedFiguresTest extends TestCase
{
    use AnswersEveryKind;
    use BringsArchives;

    private const SITTING = 'sittings/00001.json';

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-03-02 09:00:00'));
        app(BankLoader::class)->load(__DIR__.'/../kinds');
        $this->actingAs($this->candidate());
    }

    /** @return array<string, mixed> files of somebody's archive, who sat the paper */
    private function paper(): array
    {
        $begun = $this->postJson('/api/exams/kinds/papers/2024/sittings', ['section' => null]);
        $sitting = (string) $begun->json('sitting');
        $this->open($sitting);
        $this->travel(30)->seconds();
        $this->answerRightly($sitting, array_keys($this->positions($sitting)));
        $this->handIn($sitting)->assertOk();

        return $this->files($this->packed());
    }

    private function somebodyElse(): void
    {
        $this->flushSession();
        $this->actingAs($this->candidate());
    }

    public function test_an_archive_moves_no_percentile_no_distribution_and_no_question(): void
    {
        $files = $this->paper();
        $exam = Exam::query()->where('slug', 'kinds')->firstOrFail();
        $looks = fn (): int => count(iterator_to_array(app(FirstLooks::class)->of($exam), false));
        $people = fn (): int => app(CohortMarks::class)->renew($exam);
        $before = [$looks(), $people()];
        self::assertSame(1, $before[1]);
        self::assertGreaterThan(0, $before[0]);
        foreach (range(1, 3) as $account) {
            $this->somebodyElse();
            $this->bring($this->zip($files))->assertOk();
            self::assertSame($before, [$looks(), $people()], "account {$account}");
        }
        // To its owner it is what it was: the same paper, with its own place to be seen.
        self::assertSame(1, DB::table('sittings')->distinct()->count('test_id'));
        $own = (string) DB::table('sittings')->where('user_id', auth()->id())->value('id');
        $this->getJson("/api/sittings/{$own}/result")->assertOk()->assertJsonPath('place.cohort.n', 1);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_a_whole_exam_is_only_what_the_exam_would_ask_under_its_own_rules(): void
    {
        $files = $this->paper();
        self::assertTrue($files[self::SITTING]['test']['of_exam']);
        $brought = function (callable $change) use ($files): object {
            $this->somebodyElse();
            $change($files[self::SITTING]);
            $this->bring($this->zip($files))->assertOk();

            return (object) (array) DB::table('sittings')->join('tests', 'tests.id', '=', 'test_id')
                ->where('sittings.user_id', auth()->id())->first(['of_exam', 'tests.user_id', 'paper_id']);
        };
        $same = $brought(fn (array &$it) => null);
        self::assertSame([1, null], [(int) $same->of_exam, $same->user_id]);
        $others = [
            'one question' => function (array &$it): void {
                $it['test']['items'] = array_slice($it['test']['items'], 0, 1);
                $it['terms']['items'][0][0] = 1;
                $it['facts'] = array_slice($it['facts'], 0, 1);
                $it['events'] = array_values(array_filter(
                    $it['events'],
                    fn (array $event): bool => ($event['position'] ?? 0) === 0,
                ));
            },
            'more marks' => fn (array &$it) => $it['test']['items'][0]['marks'] = '99',
            'more time' => fn (array &$it) => $it['terms']['limit'] *= 2,
            'a pause' => fn (array &$it) => $it['terms']['pausable'] = true,
        ];
        foreach ($others as $name => $change) {
            $made = $brought($change);
            self::assertSame([0, auth()->id()], [(int) $made->of_exam, $made->user_id], $name);
        }
    }
}
