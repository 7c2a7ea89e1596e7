<?php

declare(strict_types=1);

namespace Tests\Feature\Progress;

use App\Progress\BestHours;
use App\Progress\ReadAnswers;
use App\Question\Tallies;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;
use Uplandia\Core\Progress\Ability;
use Uplandia\Core\Progress\Response;

/**
 * Every figure of Progress worked out a second time from the raw events and the bank, by other means: the estimate by
 * climbing a numerical gradient, its covariance by inverting the information as a full matrix, the normal curve as an
 * integral.
 */
final class SecondPathTest extends TestCase
{
    use SitsByLetters;

    private const ZONE = 'Asia/Kathmandu';

    private const DAY = 86_400_000;

    private const B = ['easy' => -1.0, 'moderate' => 0.0, 'hard' => 1.0];

    /** @var array<string, mixed> */
    private array $progress;

    private int $now;

    /** @var list<array{topic: int, b: float, c: float, x: float, w: float, at: int|null}> */
    private array $looks;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-01-05 06:10:00'));
        $this->actingAs($this->candidate());
        $this->exam();
        $ids = DB::table('questions')->orderBy('id')->pluck('id')->all();
        foreach ($ids as $i => $id) {
            $difficulty = ['easy', 'moderate', 'hard'][$i % 3];
            DB::table('questions')->where('id', $id)->update([
                'difficulty' => $difficulty, 'b' => self::B[$difficulty],
            ]);
        }
        app(Tallies::class)->renew($this->exam()->id);
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => null, 'timeZone' => self::ZONE])
            ->assertNoContent();
        $this->sit('rmrrmmrrmbrm', seconds: 30);
        // Too soon to say anything new.
        $this->travel(12)->days();
        $this->sit('rrmm', ['mode' => 'untimed']);
        foreach (['rrrrmrrrmrrr', 'mrrrrrrmrrrr', 'rrrmrrrrrrmr'] as $letters) {
            $this->travel(33)->days();
            $this->travel(100)->minutes();
            $this->sit(substr($letters, 0, 8), ['topics' => ['ridge']], 40);
            $this->travel(6)->minutes();
            $this->sit(substr($letters, 8), ['topics' => ['water']], 40);
        }
        $this->travel(20)->minutes();
        $this->sit('rm', ['topics' => ['water']], seconds: 2);
        $this->now = Carbon::now()->getTimestampMs();
        $this->progress = $this->getJson('/api/exams/small-hills/progress')->assertOk()->json();
        $this->looks = $this->looks();
    }

    /** @return list<array{sitting: string, question: int, x: float|null, ms: int, at: int|null, ended: int}> */
    private function told(): array
    {
        $told = [];
        foreach (DB::table('sittings')->where('status', 'handed_in')->orderBy('ended_ms')->get() as $sitting) {
            $items = DB::table('test_items')
                ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
                ->where('test_id', $sitting->test_id)
                ->orderBy('position')
                ->get(['position', 'test_items.question_id', 'withheld']);
            $events = DB::table('sitting_events')->where('sitting_id', $sitting->id)->orderBy('seq')->get();
            foreach ($items as $item) {
                $key = json_decode($item->withheld, true)['key'];
                $shown = $events->where('kind', 'shown')->firstWhere('position', $item->position);
                $answered = $events->where('kind', 'answered')->firstWhere('position', $item->position);
                $next = $events->where('kind', 'shown')->firstWhere('position', $item->position + 1);
                $told[] = [
                    'sitting' => $sitting->id,
                    'question' => (int) $item->question_id,
                    'x' => $answered === null
                        ? null
                        : (float) (json_decode($answered->value, true)['choice'] === $key),
                    'ms' => ($next->at_ms ?? $sitting->ended_ms) - $shown->at_ms,
                    'at' => $answered?->at_ms,
                    'ended' => (int) $sitting->ended_ms,
                ];
            }
        }

        return $told;
    }

    /** @return list<array{topic: int, b: float, c: float, x: float, w: float, at: int|null}> */
    private function looks(): array
    {
        $looks = $last = [];
        $questions = DB::table('questions')->join('topics', 'topics.id', '=', 'questions.topic_id')
            ->get(['questions.id', 'difficulty', 'code' => 'topics.code'])->keyBy('id');
        foreach ($this->told() as $one) {
            $since = isset($last[$one['question']]) ? ($one['ended'] - $last[$one['question']]) / self::DAY : null;
            $last[$one['question']] = $one['ended'];
            if (($since !== null && $since < 30) || ($one['x'] !== null && $one['ms'] < 3000)) {
                continue;
            }
            $question = $questions[$one['question']];
            $looks[] = [
                'topic' => str_starts_with($question->code, 'ridge') ? 0 : 1,
                'b' => self::B[$question->difficulty],
                'c' => 0.25,
                // A blank in a test of which enough was answered is a miss.
                'x' => $one['x'] ?? 0.0,
                'w' => 2 ** (-($this->now - $one['ended']) / self::DAY / 90),
                'at' => $one['at'],
            ];
        }

        return $looks;
    }

    private static function p(float $theta, float $b, float $c): float
    {
        return $c + (1 - $c) / (1 + exp($b - $theta));
    }

    /**
     * Log of the posterior of the two abilities: of each, N(0, 1 + ¼) before, sharing 1 of their variance.
     *
     * @param  array{float, float}  $theta
     */
    private function height(array $theta): float
    {
        $determinant = 1.25 ** 2 - 1;
        $height = -(1.25 * $theta[0] ** 2 - 2 * $theta[0] * $theta[1] + 1.25 * $theta[1] ** 2) / (2 * $determinant);
        foreach ($this->looks as ['topic' => $t, 'b' => $b, 'c' => $c, 'x' => $x, 'w' => $w]) {
            $p = self::p($theta[$t], $b, $c);
            $height += $w * ($x * log($p) + (1 - $x) * log(1 - $p));
        }

        return $height;
    }

    /** @return array{float, float} by golden sections along each ability in turn */
    private function theta(): array
    {
        $theta = [0.0, 0.0];
        $golden = (sqrt(5) - 1) / 2;
        for ($round = 0; $round < 60; $round++) {
            foreach ([0, 1] as $t) {
                [$low, $high] = [-6.0, 6.0];
                $at = fn (float $x): float => $this->height(array_replace($theta, [$t => $x]));
                while ($high - $low > 1e-9) {
                    $one = $high - $golden * ($high - $low);
                    $two = $low + $golden * ($high - $low);
                    if ($at($one) > $at($two)) {
                        $high = $two;
                    } else {
                        $low = $one;
                    }
                }
                $theta[$t] = ($low + $high) / 2;
            }
        }

        return $theta;
    }

    /**
     * @param  array{float, float}  $theta
     * @return array{array{float, float}, array{float, float}}
     */
    private function covariance(array $theta): array
    {
        $determinant = 1.25 ** 2 - 1;
        $a = [1.25 / $determinant, 1.25 / $determinant];
        $off = -1 / $determinant;
        foreach ($this->looks as ['topic' => $t, 'b' => $b, 'c' => $c, 'w' => $w]) {
            $p = self::p($theta[$t], $b, $c);
            $q = 1 / (1 + exp($b - $theta[$t]));
            $a[$t] += $w * ((1 - $c) * $q * (1 - $q)) ** 2 / ($p * (1 - $p));
        }
        $whole = $a[0] * $a[1] - $off ** 2;

        return [[$a[1] / $whole, -$off / $whole], [-$off / $whole, $a[0] / $whole]];
    }

    public function test_where_one_stands_is_what_the_events_say(): void
    {
        $theta = $this->theta();
        $c = $this->covariance($theta);
        self::assertSame(count($this->looks), $this->progress['responses']);
        $bank = [0 => [], 1 => []];
        foreach (DB::table('questions')->join('topics', 'topics.id', '=', 'questions.topic_id')
            ->get(['difficulty', 'topics.code']) as $question) {
            $bank[str_starts_with($question->code, 'ridge') ? 0 : 1][] = self::B[$question->difficulty];
        }
        $mean = fn (int $t, float $at, float $shrink = 1.0): float => array_sum(array_map(
            fn (float $b): float => 0.25 + 0.75 / (1 + exp(-($at - $b) / $shrink)),
            $bank[$t],
        )) / count($bank[$t]);
        $n = [36, 24];
        $g = $shares = [];
        foreach ([0, 1] as $t) {
            $shares[$t] = $mean($t, $theta[$t], sqrt(1 + M_PI * $c[$t][$t] / 8));
            $topic = $this->progress['topics'][$t];
            self::assertEqualsWithDelta($shares[$t], $topic['share'], 1e-6);
            $reach = 1.2815515655 * sqrt($c[$t][$t]);
            self::assertEqualsWithDelta($mean($t, $theta[$t] - $reach), $topic['low'], 1e-6);
            self::assertEqualsWithDelta($mean($t, $theta[$t] + $reach), $topic['high'], 1e-6);
            self::assertEqualsWithDelta($topic['weight'] * max(0, 0.7 - $shares[$t]), $topic['stake'], 1e-4);
            $g[$t] = $n[$t] * array_sum(array_map(function (float $b) use ($theta, $t): float {
                $q = 1 / (1 + exp($b - $theta[$t]));

                return 0.75 * $q * (1 - $q);
            }, $bank[$t])) / count($bank[$t]);
        }
        $doubt = $g[0] ** 2 * $c[0][0] + 2 * $g[0] * $g[1] * $c[0][1] + $g[1] ** 2 * $c[1][1];
        $chance = function (array $shares) use ($n, $doubt): float {
            $m = $n[0] * $shares[0] + $n[1] * $shares[1];
            $luck = $n[0] * $shares[0] * (1 - $shares[0]) + $n[1] * $shares[1] * (1 - $shares[1]);

            return self::above((38.5 - $m) / sqrt($doubt + $luck));
        };
        $outlook = $this->progress['outlook'];
        self::assertEqualsWithDelta($chance($shares), $outlook['chance'], 1e-6);
        self::assertEqualsWithDelta($n[0] * $shares[0] + $n[1] * $shares[1], $outlook['expected'], 1e-5);
        foreach ([0, 1] as $t) {
            $moved = array_replace($shares, [$t => max(0.7, $shares[$t])]);
            $lever = $this->progress['topics'][$t]['lever'];
            self::assertEqualsWithDelta($chance($moved) - $chance($shares), $lever, 1e-6);
            self::assertSame($shares[$t] < 0.7, $lever > 0);
        }
        $m = $outlook['expected'];
        $luck = $n[0] * $shares[0] * (1 - $shares[0]) + $n[1] * $shares[1] * (1 - $shares[1]);
        $end = fn (float $z): float => self::above((38.5 - $m - $z * sqrt($doubt)) / sqrt($luck));
        self::assertEqualsWithDelta(min($end(-1.2815515655), $outlook['chance']), $outlook['low'], 1e-5);
        self::assertEqualsWithDelta(max($end(1.2815515655), $outlook['chance']), $outlook['high'], 1e-5);
    }

    /** The standard normal curve above a point, by Simpson's rule. */
    private static function above(float $z): float
    {
        $steps = 4000;
        $h = (12 - $z) / $steps;
        $sum = 0.0;
        for ($i = 0; $i <= $steps; $i++) {
            $x = $z + $i * $h;
            $sum += exp(-$x * $x / 2) * ($i === 0 || $i === $steps ? 1 : ($i % 2 === 1 ? 4 : 2));
        }

        return $sum * $h / 3 / sqrt(2 * M_PI);
    }

    public function test_when_one_does_well_is_what_the_events_say(): void
    {
        $theta = $this->theta();
        $moments = array_column(array_filter($this->told(), fn (array $one): bool => $one['at'] !== null), 'at');
        sort($moments);
        $start = [];
        foreach ($moments as $i => $moment) {
            $start[$moment] = $i === 0 || $moment - $moments[$i - 1] > 30 * 60_000
                ? $moment
                : $start[$moments[$i - 1]];
        }
        $hours = $minutes = [];
        foreach ($this->looks as $look) {
            if ($look['at'] === null) {
                continue;
            }
            $off = $look['x'] - self::p($theta[$look['topic']], $look['b'], $look['c']);
            $hours[Carbon::createFromTimestampMs($look['at'], self::ZONE)->hour][] = $off;
            $minutes[10 * intdiv($look['at'] - $start[$look['at']], 600_000)][] = $off;
        }
        self::assertGreaterThan(1, count($hours));
        self::assertGreaterThan(1, count($minutes));
        foreach (['hours' => $hours, 'minutes' => $minutes] as $name => $slots) {
            $slots = array_filter($slots, fn (array $of): bool => count($of) > 1);
            ksort($slots);
            self::assertSame(array_keys($slots), array_column($this->progress[$name], 'from'));
            foreach ($this->progress[$name] as $told) {
                $of = $slots[$told['from']];
                $n = count($of);
                $mean = array_sum($of) / $n;
                $squares = array_sum(array_map(fn (float $off): float => ($off - $mean) ** 2, $of));
                $reach = 1.959964 * sqrt($squares / ($n - 1) / $n);
                self::assertSame($n, $told['n']);
                self::assertEqualsWithDelta(
                    [$mean, $mean - $reach, $mean + $reach],
                    [$told['off'], $told['low'], $told['high']],
                    1e-5,
                );
                self::assertSame($n >= 20 && abs($mean) > $reach, $told['clear']);
            }
        }
    }

    public function test_in_another_time_zone_it_was_another_hour(): void
    {
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => null, 'timeZone' => 'UTC']);
        $hours = $this->getJson('/api/exams/small-hills/progress')->json('hours');
        self::assertNotSame(array_column($this->progress['hours'], 'from'), array_column($hours, 'from'));
        self::assertSame(
            array_sum(array_column($this->progress['hours'], 'n')),
            array_sum(array_column($hours, 'n')),
        );
    }

    public function test_two_hours_and_more_are_told_together(): void
    {
        $moments = array_map(fn (int $i): int => 1_000_000_000_000 + $i * 600_000, range(0, 16));
        $spells = BestHours::of(
            new ReadAnswers(
                responses: array_fill(0, 17, new Response(topic: 0, b: 0.0, c: 0.0, x: 1.0)),
                at: $moments,
                moments: $moments,
            ),
            new Ability(theta: [0.0], own: [1.0], shared: [0.0], common: 0.0),
            'UTC',
        );
        // Ten minutes apart, one each; only those from two hours on are together.
        self::assertSame([[120, 5]], array_map(fn (array $one): array => [$one['from'], $one['n']], $spells->minutes));
    }

    public function test_days_and_bests_are_what_the_events_say(): void
    {
        $days = [];
        $best = null;
        foreach (DB::table('sittings')->where('status', 'handed_in')->orderBy('ended_ms')->get() as $sitting) {
            $of = array_filter($this->told(), fn (array $one): bool => $one['sitting'] === $sitting->id);
            $date = Carbon::createFromTimestampMs($sitting->ended_ms, self::ZONE)->toDateString();
            $days[$date] ??= ['date' => $date, 'ms' => 0, 'answered' => 0];
            $days[$date]['ms'] += array_sum(array_column($of, 'ms'));
            $days[$date]['answered'] += count(array_filter($of, fn (array $one): bool => $one['x'] !== null));
        }
        self::assertSame(
            array_values(array_filter($days, fn (string $date): bool => $date > '2026-02-01', ARRAY_FILTER_USE_KEY)),
            $this->progress['days'],
        );
        $bests = $this->progress['bests'];
        // None of them is long enough to be a record.
        self::assertNull($bests['timed']);
        self::assertSame(max(array_column($days, 'answered')), $bests['day']['answered']);
        self::assertSame([1, 1], [$bests['run'], $bests['runNow']]);
        self::assertSame(array_sum(array_column($days, 'ms')), $this->progress['totalMs']);

        DB::table('sittings')->update(['questions' => 20]);
        DB::table('sittings')->where('mode', 'untimed')->update(['share' => 0.99]);
        $best = DB::table('sittings')->where('mode', 'timed')->orderByDesc('share')->orderByDesc('ended_ms')->first();
        $this->getJson('/api/exams/small-hills/progress')
            ->assertJsonPath('bests.timed.sitting', $best->id)
            ->assertJsonPath('bests.timed.at', $best->ended_ms);
        DB::table('sittings')->update(['counts' => false]);
        $this->getJson('/api/exams/small-hills/progress')->assertJsonPath('bests.timed', null);
    }
}
