<?php

declare(strict_types=1);

namespace Tests\Feature\Result;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

/** Every figure of a result, worked out a second time from the raw events and the bank, by other means. */
final class SecondPathTest extends TestCase
{
    private string $sitting;

    /** @var array<string, mixed> */
    private array $result;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
        $this->exam();
        DB::table('question_versions')->orderBy('id')->limit(4)->update(['difficulty' => 'hard']);
        $this->sitting = $this->build(['count' => 12, 'penalty' => '1/4', 'minutes' => 20]);
        $opened = $this->open($this->sitting);
        mt_srand(7);
        $seq = 10;
        $send = function (string $kind, int $position, mixed $value = null) use (&$seq): void {
            $seq++;
            $this->send($this->sitting, [
                ['id' => "e{$seq}", 'seq' => $seq, 'kind' => $kind, 'position' => $position, 'value' => $value],
            ])->assertJsonPath('refused', []);
        };
        foreach (range(0, 10) as $position) {
            $send('shown', $position);
            $this->travel(mt_rand(2, 50))->seconds();
            if ($position === 5) {
                continue;
            }
            $right = $this->option($opened, $position, true);
            $wrong = $this->option($opened, $position, false);
            $first = mt_rand(0, 1) === 1 ? $right : $wrong;
            $send('answered', $position, ['choice' => $first]);
            if ($position % 4 === 1) {
                $this->travel(mt_rand(3, 20))->seconds();
                $send('answered', $position, ['choice' => $first === $right ? $wrong : $right]);
            }
            if ($position % 3 === 0) {
                $others = array_column($opened['questions'][$position]['body']['options'], 'id');
                $send('struck', $position, array_slice(array_values(array_diff($others, [$wrong])), 0, 2));
            }
            $send('sureness', $position, ['sure', 'leaning', 'guess'][mt_rand(0, 2)]);
        }
        $this->handIn($this->sitting)->assertOk();
        DB::table('outcomes')->where('position', '<', 6)->update(['cohort_ms' => 30_000]);
        $this->result = $this->getJson("/api/sittings/{$this->sitting}/result")->assertOk()->json();
    }

    /**
     * What the raw events say of each question.
     *
     * @return array<int, array<string, mixed>> answers, sureness, struck, ms, key; by position
     */
    private function told(): array
    {
        $keys = DB::table('test_items')
            ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
            ->where('test_id', DB::table('sittings')->where('id', $this->sitting)->value('test_id'))
            ->pluck('withheld', 'position')
            ->map(fn (string $withheld): string => json_decode($withheld, true)['key']);
        $told = [];
        foreach ($keys as $position => $key) {
            $told[$position] = ['answers' => [], 'sureness' => null, 'struck' => [], 'ms' => 0, 'key' => $key];
        }
        $on = $since = null;
        foreach (DB::table('sitting_events')->where('sitting_id', $this->sitting)->orderBy('seq')->get() as $event) {
            if ($on !== null && in_array($event->kind, ['shown', 'handed_in'], true)) {
                $told[$on]['ms'] += $event->at_ms - $since;
            }
            if ($event->kind === 'shown') {
                [$on, $since] = [$event->position, $event->at_ms];
            }
            $value = json_decode($event->value ?? 'null', true);
            match ($event->kind) {
                'answered' => $told[$event->position]['answers'][] = $value['choice'],
                'sureness' => $told[$event->position]['sureness'] = $value,
                'struck' => $told[$event->position]['struck'] = $value,
                default => null,
            };
        }

        return $told;
    }

    public function test_every_figure_is_what_the_events_say(): void
    {
        $told = $this->told();
        $right = fn (array $one): bool => end($one['answers']) === $one['key'];
        $answered = array_filter($told, fn (array $one): bool => $one['answers'] !== []);
        $rights = array_filter($answered, $right);
        $marks = count($rights) - (count($answered) - count($rights)) / 4;

        $tally = $this->result['tally'];
        self::assertSame([12, 10], [$tally['questions'], $tally['answered']]);
        self::assertEqualsWithDelta($marks, (float) $tally['marks'], 0.005);
        self::assertEqualsWithDelta(100 * $marks / 12, (float) $tally['shareOfAll'], 0.005);
        self::assertEqualsWithDelta(100 * $marks / 10, (float) $tally['shareOfAnswered'], 0.005);

        $this->holdLines($told, $right);
        $this->holdSureness($told, $right);
        $this->holdTime($told, $right);
        $this->holdChangesAndStriking($told, $right);
        $this->holdWhatNext($told, $right);
    }

    /**
     * @param  array<int, array<string, mixed>>  $told
     */
    private function holdLines(array $told, callable $right): void
    {
        $ratios = [];
        foreach ($told as $position => $one) {
            if ($this->hasMedian($one, $position)) {
                $ratios[] = log($one['ms'] / 30_000);
            }
        }
        sort($ratios);
        $n = count($ratios);
        $tau = $n < 5 ? 0.0 : ($ratios[intdiv($n - 1, 2)] + $ratios[intdiv($n, 2)]) / 2;
        foreach ($this->result['questions'] as $line) {
            $one = $told[$line['position']];
            $outcome = match (true) {
                $line['position'] === 11 => 'not_reached',
                $one['answers'] === [] => 'left_blank',
                default => $right($one) ? 'right' : 'missed',
            };
            $rapid = $one['answers'] !== [] && $one['ms'] < 3000;
            $footing = ['sure right' => 'firm', 'sure missed' => 'false_footing', 'guess right' => 'lucky_step',
                'guess missed' => 'open_ground'][($one['sureness'] ?? '')." {$outcome}"] ?? null;
            self::assertSame(
                [$outcome, $one['ms'], $one['sureness'], $rapid, $rapid ? null : $footing],
                [$line['outcome'], $line['activeMs'], $line['sureness'], $line['rapid'], $line['footing']],
            );
            $off = $this->hasMedian($one, $line['position']) ? log($one['ms'] / 30_000) - $tau : 0.0;
            self::assertSame($off > log(1.5) ? 'slow' : ($off < -log(1.5) ? 'fast' : null), $line['tempo']);
            self::assertSame(count($one['struck']), $line['ruledOut']);
            self::assertSame(in_array($one['key'], $one['struck'], true), $line['keyRuledOut']);
        }
    }

    /**
     * Whether a question was answered, and others' time is known of it.
     *
     * @param  array<string, mixed>  $one
     */
    private function hasMedian(array $one, int $position): bool
    {
        return $position < 6 && $one['answers'] !== [];
    }

    /** @param  array<int, array<string, mixed>>  $told */
    private function holdSureness(array $told, callable $right): void
    {
        $stated = array_filter(
            $told,
            fn (array $one): bool => $one['sureness'] !== null && $one['answers'] !== [] && $one['ms'] >= 3000,
        );
        $value = ['sure' => 0.95, 'leaning' => 0.65, 'guess' => 0.25];
        $off = array_map(
            fn (array $one): float => $value[$one['sureness']] - ($right($one) ? 1 : 0),
            array_values($stated),
        );
        $n = count($off);
        $mean = array_sum($off) / $n;
        $deviation = sqrt(array_sum(array_map(fn (float $d): float => ($d - $mean) ** 2, $off)) / ($n - 1));
        $told = $this->result['calibration'];
        self::assertSame($n, $told['n']);
        self::assertEqualsWithDelta($mean, $told['off'], 1e-9);
        self::assertEqualsWithDelta($mean - 1.959964 * $deviation / sqrt($n), $told['low'], 1e-6);
        self::assertEqualsWithDelta($mean + 1.959964 * $deviation / sqrt($n), $told['high'], 1e-6);
        self::assertEqualsWithDelta(
            array_sum(array_map(fn (float $d): float => $d * $d, $off)) / $n,
            $told['brier'],
            1e-9,
        );
        foreach ($this->result['levels'] as $level) {
            $of = array_filter($stated, fn (array $one): bool => $one['sureness'] === $level['sureness']);
            self::assertSame(count($of), $level['n']);
            if ($of === []) {
                continue;
            }
            $p = count(array_filter($of, $right)) / count($of);
            self::assertEqualsWithDelta($p, $level['accuracy'], 1e-9);
            // Wilson's bounds solve |p − x| = z √(x(1 − x)/n).
            foreach (['low', 'high'] as $end) {
                $x = $level[$end];
                self::assertEqualsWithDelta(1.959964 * sqrt($x * (1 - $x) / count($of)), abs($p - $x), 1e-6);
            }
        }
    }

    /** @param  array<int, array<string, mixed>>  $told */
    private function holdTime(array $told, callable $right): void
    {
        $course = $this->result['course'];
        $spent = 0;
        foreach ($course['legs'] as $i => $leg) {
            $spent += $told[$i]['ms'];
            self::assertSame([$i, $spent], [$leg['position'], $leg['spentMs']]);
        }
        self::assertCount(11, $course['legs']);
        $reserve = (int) DB::table('sittings')->where('id', $this->sitting)->value('reserve_ms');
        self::assertEqualsWithDelta((1_200_000 - $reserve) * 10 / 12 - $spent, $course['aheadMs'], 1);
        $times = array_column($told, 'ms');
        arsort($times);
        self::assertSame(array_slice(array_keys($times), 0, 5), $course['slowest']);
        foreach ($course['quarters'] as $quarter => $share) {
            $part = array_filter(
                array_slice($told, 3 * $quarter, 3, true),
                fn (int $position): bool => $position !== 11,
                ARRAY_FILTER_USE_KEY,
            );
            self::assertEqualsWithDelta(count(array_filter($part, $right)) / count($part), $share, 1e-9);
        }
    }

    /** @param  array<int, array<string, mixed>>  $told */
    private function holdChangesAndStriking(array $told, callable $right): void
    {
        $ways = ['right wrong' => 0, 'wrong right' => 0, 'wrong wrong' => 0];
        foreach ($told as $one) {
            if (count(array_unique($one['answers'])) > 1) {
                $before = $one['answers'][0] === $one['key'] ? 'right' : 'wrong';
                $ways["{$before} ".($right($one) ? 'right' : 'wrong')]++;
            }
        }
        $habits = $this->result['habits'];
        self::assertSame(
            array_values($ways),
            [$habits['rightToWrong'], $habits['wrongToRight'], $habits['wrongToWrong']],
        );
        self::assertGreaterThan(0, $habits['rightToWrong'] + $habits['wrongToRight']);
        $struck = array_filter($told, fn (array $one): bool => $one['struck'] !== []);
        $two = array_filter($struck, fn (array $one): bool => count($one['struck']) === 2 && $one['answers'] !== []);
        self::assertSame(
            [
                count($struck),
                count(array_filter($struck, fn (array $one): bool => in_array($one['key'], $one['struck'], true))),
                count($two),
            ],
            [$habits['ruledOut'], $habits['keyRuledOut'], $habits['narrowedToTwo']],
        );
        $rightOfTwo = count(array_filter($two, $right)) / count($two);
        self::assertEqualsWithDelta($rightOfTwo, $habits['accuracyNarrowed'], 1e-9);
        self::assertSame(
            count(array_filter($told, fn (array $one): bool => $one['answers'] !== [] && $one['ms'] < 3000)),
            $habits['rapidGuesses'],
        );
    }

    /** @param  array<int, array<string, mixed>>  $told */
    private function holdWhatNext(array $told, callable $right): void
    {
        $lost = array_map(
            fn (array $one): float => match (true) {
                $one['answers'] === [] => 1.0,
                default => $right($one) ? 0.0 : 1.25,
            },
            $told,
        );
        // All of them refer to the same section.
        self::assertEqualsWithDelta(array_sum($lost), (float) $this->result['reading'][0]['marks'], 0.005);
        self::assertSame(array_keys(array_filter($lost)), $this->result['reading'][0]['questions']);
        $topics = array_column($this->result['questions'], 'topic', 'position');
        $byTopic = [];
        foreach ($lost as $position => $marks) {
            $byTopic[$topics[$position]] = ($byTopic[$topics[$position]] ?? 0) + $marks;
        }
        arsort($byTopic);
        self::assertStringContainsString(" on {$this->first($byTopic)}", $this->result['next']['sentence']);
    }

    /** @param  array<string, float>  $byTopic */
    private function first(array $byTopic): string
    {
        return (string) array_key_first($byTopic);
    }

    public function test_a_longer_test_is_read_with_as_many_statements_as_a_shorter(): void
    {
        $statements = function (string $sitting): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->getJson("/api/sittings/{$sitting}/result")->assertOk();
            $this->getJson("/api/sittings/{$sitting}/review")->assertOk();

            return count(DB::getQueryLog());
        };
        $short = $this->build(['count' => 2]);
        $this->open($short);
        $this->handIn($short)->assertOk();
        $this->getJson("/api/sittings/{$short}/result");

        self::assertSame($statements($short), $statements($this->sitting));
    }
}
