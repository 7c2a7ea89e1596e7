<?php

declare(strict_types=1);

namespace Tests\Feature\Progress;

use App\Account\User;
use App\Progress\Estimates;
use App\Progress\WeakSpotTests;
use App\Question\Candidacy;
use App\Question\Enrolment;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Sitting\RunningSittings;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Allocation;

/** The test of weak spots, for each of the demo's people, beside a second computation of it. */
final class WeakSpotsTest extends TestCase
{
    public function test_each_of_the_demos_people_gets_the_test_that_their_estimates_ask_for(): void
    {
        $this->travelTo(Carbon::parse('2026-06-20 12:00:00'));
        $this->artisan('demo:load', ['--cohort' => 25]);
        $exam = Exam::query()->orderBy('position')->firstOrFail();
        $made = [];
        foreach (['tamsin', 'idris', 'bram', 'noor', 'wren'] as $key) {
            $user = User::query()->where('made_up_as', $key)->firstOrFail();
            $test = app(WeakSpotTests::class)->build(new Candidacy($user, $exam), 20);
            $ids = DB::table('test_items')->where('test_id', $test->id)->pluck('question_id')->all();
            $expected = $this->again($exam, $user, 20);
            self::assertEqualsCanonicalizing(array_merge(...array_values($expected)), $ids, $key);
            self::assertSame(
                array_filter(array_map(count(...), $expected)),
                array_column((array) $test->reasons, 'questions', 'topic'),
                $key,
            );
            foreach ((array) $test->reasons as $reason) {
                self::assertSame($reason['questions'], $reason['overdue'] + $reason['fresh'] + $reason['again']);
                self::assertSame($key === 'wren', $reason['stake'] === null);
            }
            $made[$key] = implode(',', $ids);
        }
        self::assertCount(5, array_unique($made));
    }

    public function test_it_comes_over_the_contract_with_its_reasons(): void
    {
        $this->exam();
        $this->actingAs($this->candidate());
        $path = '/api/exams/small-hills/weak-spots';
        $sitting = $this->postJson($path, ['count' => 6])
            ->assertCreated()
            ->json('sitting');
        $this->getJson("/api/sittings/{$sitting}")
            ->assertJsonPath('questions', 6)
            ->assertJsonPath('mode', 'tutor')
            ->assertJsonPath('reasons.0.stake', null)
            ->assertJsonPath('reasons.0.overdue', 0);
        foreach ([0, 501, 2.5, 'ten', null] as $bad) {
            $this->postJson($path, ['count' => $bad])->assertStatus(422);
        }
        DB::table('questions')->update(['retired_at' => now()]);
        app(\App\Question\Tallies::class)->renew($this->exam()->id);
        $this->postJson($path, ['count' => 6])
            ->assertStatus(422)
            ->assertJsonPath('reason', 'too_few');
    }

    /**
     * Computation 12 once more, question by question and without the core's classes for it.
     *
     * @return array<string, list<int>> topic => questions
     */
    private function again(Exam $exam, User $user, int $n): array
    {
        $syllabus = Syllabus::of($exam);
        $estimate = app(Estimates::class)->of(new Candidacy($user, $exam));
        $enrolment = Enrolment::of($user->id, $exam->id);
        $now = (int) now()->getTimestampMs();
        $standings = DB::table('standings')->where('user_id', $user->id)->get()->keyBy('question_id');
        $units = [];
        foreach (
            DB::table('questions')
                ->where('exam_id', $exam->id)
                ->whereNull('retired_at')
                // What a test whose clock is not over asks is held back.
                ->whereNotIn('id', app(RunningSittings::class)->heldBack($user))
                ->orderBy('unit_place')
                ->orderBy('id')
                ->get() as $question
        ) {
            $units[$question->unit_id === null ? "q{$question->id}" : "u{$question->unit_id}"][] = $question;
        }
        $byTopic = [];
        foreach ($units as $questions) {
            $overdue = $seen = null;
            foreach ($questions as $question) {
                $standing = $standings[$question->id] ?? null;
                if ($standing?->seen_ms !== null) {
                    $seen = max($seen ?? 0, $standing->seen_ms);
                }
                $days = [];
                if ($standing?->due_day !== null && $standing->due_day <= $enrolment->dayOf($now)) {
                    $days[] = $enrolment->dayOf($now) - $standing->due_day;
                }
                if ($standing?->gap_open && $standing->seen_ms !== null) {
                    $days[] = $enrolment->dayOf($now) - $enrolment->dayOf($standing->seen_ms);
                }
                $overdue = $days === [] ? $overdue : max($overdue ?? 0, ...$days);
            }
            usort($questions, fn (object $a, object $b): int => $b->b <=> $a->b);
            $byTopic[$syllabus->topOf($this->first($questions)->topic_id)->id][] = [
                'ids' => array_column($questions, 'id'),
                'overdue' => $overdue,
                'seen' => $seen,
                'b' => $questions[0]->b,
                'c' => $questions[0]->luck,
                'id' => $questions[0]->unit_id === null ? $questions[0]->id : -$questions[0]->unit_id,
            ];
        }
        $weights = $available = [];
        foreach ($estimate->topics as $t => $topic) {
            $weight = (float) $topic->weight;
            $stake = $weight * max(0, 0.7 - ($estimate->mastery[$t]->share ?? 1));
            $weights[] = (int) round(1e6 * ($estimate->gate->isOpen() ? $stake + $weight / 10 : $weight));
            $available[] = count(array_merge([], ...array_column($byTopic[$topic->id] ?? [], 'ids')));
        }
        $counts = Allocation::of($n, $weights, $available)->counts;
        $chosen = [];
        foreach ($estimate->topics as $t => $topic) {
            $left = $byTopic[$topic->id] ?? [];
            $theta = $estimate->ability->theta[$t];
            $off = fn (array $one): float => abs($one['c'] + (1 - $one['c']) / (1 + exp(-($theta - $one['b']))) - 0.7);
            $taken = [];
            $take = function (array $order, int $most) use (&$taken, &$left): void {
                foreach ($order as $one) {
                    if (count($taken) + count($one['ids']) <= $most) {
                        array_push($taken, ...$one['ids']);
                        $left = array_values(
                            array_filter($left, fn (array $other): bool => $other['id'] !== $one['id']),
                        );
                    }
                }
            };
            $due = array_filter($left, fn (array $one): bool => $one['overdue'] !== null);
            usort($due, fn (array $a, array $b): int => [$b['overdue'], $a['id']] <=> [$a['overdue'], $b['id']]);
            $take($due, (int) floor(0.6 * $counts[$t] + 1e-9));
            $new = array_filter($left, fn (array $one): bool => $one['overdue'] === null && $one['seen'] === null);
            usort($new, fn (array $a, array $b): int => [$off($a), $a['id']] <=> [$off($b), $b['id']]);
            $take($new, $counts[$t]);
            usort($left, fn (array $a, array $b): int => [$a['seen'] ?? 0, $a['id']] <=> [$b['seen'] ?? 0, $b['id']]);
            $take($left, $counts[$t]);
            $chosen[$topic->name] = $taken;
        }

        return $chosen;
    }

    /** @param  non-empty-list<object>  $questions */
    private function first(array $questions): object
    {
        usort($questions, fn (object $a, object $b): int => $a->unit_place <=> $b->unit_place);

        return $questions[0];
    }
}
