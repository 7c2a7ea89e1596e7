<?php

declare(strict_types=1);

namespace Tests\Feature\Demo;

use App\Account\User;
use App\Progress\Estimates;
use App\Progress\ProgressSnapshot;
use App\Question\Candidacy;
use App\Question\Exam;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

/**
 * The pass outlook on the path that everybody's answers take, from events to the estimate: of each candidate of the
 * cohort who has sat the whole exam twice, the last is held back, the outlook made of all before it, and what was held
 * back tells whether they pass.
 */
final class OutlookPathTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-20 12:00:00'));
        $this->artisan('demo:load', ['--cohort' => 220]);
    }

    /** @return list<array{chance: float, passed: bool}> */
    private function told(): array
    {
        $exam = Exam::query()->where('slug', 'upland-guide')->firstOrFail();
        $cut = (float) $exam->rules['cut'];
        $papers = DB::table('sittings')
            ->join('tests', 'tests.id', '=', 'sittings.test_id')
            ->where('sittings.exam_id', $exam->id)
            ->where('sittings.counts', true)
            ->where('tests.of_exam', true)
            ->whereIn('sittings.user_id', User::query()->where('made_up_as', 'like', 'cohort-%')->select('id'))
            ->orderBy('ended_ms')
            ->get(['sittings.id', 'sittings.user_id', 'started_ms']);
        $told = [];
        foreach ($papers->groupBy('user_id') as $user => $sat) {
            if (count($sat) < 2) {
                continue;
            }
            $last = $sat->last();
            $shares = DB::table('outcomes')->where('sitting_id', $last->id)->get(['share'])
                ->map(fn (object $row): float => (float) $row->share);
            DB::table('outcomes')->where('sitting_id', $last->id)->delete();
            $outlook = ProgressSnapshot::of($exam, app(Estimates::class)->at(
                candidacy: new Candidacy(User::query()->findOrFail($user), $exam),
                now: (int) $last->started_ms,
            ))['outlook'];
            if ($outlook !== null) {
                $told[] = [
                    'chance' => $outlook['chance'],
                    'passed' => $shares->sum() >= ceil($cut * count($shares) - 1e-9),
                ];
            }
        }

        return $told;
    }

    public function test_of_those_given_about_seven_in_ten_about_seven_in_ten_pass(): void
    {
        $told = $this->told();
        $n = count($told);
        self::assertGreaterThan(100, $n);
        $this->holdsIn($told);
        foreach ([[0.0, 0.3], [0.3, 0.7], [0.7, 1.01]] as [$from, $to]) {
            $band = array_filter($told, fn (array $one): bool => $one['chance'] >= $from && $one['chance'] < $to);
            self::assertGreaterThan(20, count($band));
            $this->holdsIn($band);
        }
        // It tells much more than that about half of them pass. Of so few people the skill is known to about ±.12; the
        // trial, with thousands, holds it closer.
        $rate = count(array_filter(array_column($told, 'passed'))) / $n;
        $squares = fn (callable $said): float => array_sum(array_map(
            fn (array $one): float => ($said($one) - (float) $one['passed']) ** 2,
            $told,
        ));
        $skill = 1 - $squares(fn (array $one): float => $one['chance']) / $squares(fn (): float => $rate);
        self::assertGreaterThan(0.35, $skill);
    }

    /**
     * As many pass as was said, but for five in a hundred and what chance makes of so few.
     *
     * @param  array<int, array{chance: float, passed: bool}>  $told
     */
    private function holdsIn(array $told): void
    {
        $n = count($told);
        $said = array_sum(array_column($told, 'chance')) / $n;
        $came = count(array_filter(array_column($told, 'passed'))) / $n;
        $error = sqrt(array_sum(array_map(
            fn (array $one): float => $one['chance'] * (1 - $one['chance']),
            $told,
        ))) / $n;
        self::assertEqualsWithDelta($said, $came, 0.05 + 1.5 * $error);
    }
}
