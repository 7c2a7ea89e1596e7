<?php

declare(strict_types=1);

namespace Tests\Feature\Demo;

use App\Account\User;
use App\Question\Exam;
use Tests\Feature\TestCase;
use Uplandia\Core\Shown;

/** Reads the same quantity from every screen that shows it, as one person of one exam, and compares like with like. */
final readonly class OneTruth
{
    private string $of;

    private function __construct(private TestCase $test, private User $user, private Exam $exam)
    {
        $this->of = "/api/exams/{$exam->slug}";
    }

    public static function hold(TestCase $test, User $user, Exam $exam): void
    {
        $one = new self($test, $user, $exam);
        $one->bank();
        $one->times();
        $one->results();
        $one->due();
        $one->standing();
    }

    /** A question belongs to its own subtopic, in the builder, on the exam's page and in Progress. */
    private function bank(): void
    {
        $about = $this->get($this->of);
        $builder = $this->get("{$this->of}/builder");
        $progress = $this->get("{$this->of}/progress");
        $today = $this->get("{$this->of}/today");
        $this->same($about['bank'], $builder['counts']['all'], 'questions of the bank');
        $this->same($about['bank'], $today['counts']['all'], 'questions of the bank, today');
        $this->same($builder['counts'], $today['counts'], 'pools in the builder and today');
        $this->same(
            array_column($about['topics'], 'questions', 'code'),
            array_column($progress['topics'], 'all', 'code'),
            'questions of a topic: the exam and progress',
        );
        $this->same(
            array_column($about['topics'], 'questions', 'code'),
            array_column($builder['topics'], 'all', 'code'),
            'questions of a topic: the exam and the builder',
        );
        // What may be drawn is fewer by what a running test holds back, and never counted otherwise.
        $count = $this->count([]);
        $fits = array_column($count['topics'], 'fits', 'code');
        foreach ($builder['topics'] as $topic) {
            $this->test::assertLessThanOrEqual($topic['all'], $fits[$topic['code']] ?? 0, $this->where('fits'));
        }
        $this->same(
            $count['passing'],
            array_sum(array_intersect_key($fits, array_column($builder['topics'], 'all', 'code'))),
            'what fits, by topic',
        );
        $pools = $builder['counts'];
        $this->same(
            $pools['all'],
            $pools['new'] + $pools['gotIt'] + $pools['partly'] + $pools['missed'] + $pools['leftBlank']
                + $pools['toBeMarked'],
            'the pools of an outcome add up to the bank',
        );
        $this->same($pools['new'], $pools['all'] - array_sum(array_column($progress['topics'], 'seen')), 'new to me');
        $this->same($pools['gotIt'], array_sum(array_column($progress['topics'], 'right')), 'got it, right');
    }

    /** Reading, sections and break add up to the whole; who rehearses is told the same. */
    private function times(): void
    {
        $about = $this->get($this->of);
        $ready = $this->get("{$this->of}/ready");
        $this->same(
            $about['minutes'],
            $about['readingMinutes'] + array_sum(array_column($about['sections'], 'minutes')) + $about['breakMinutes'],
            'minutes of the exam',
        );
        $this->same($about['minutes'], $ready['minutes'], 'minutes of a rehearsal');
        $this->same($about['sections'], $ready['sections'], 'sections');
        $this->same($about['minutes'], $this->get("{$this->of}/today")['quick']['minutes'], 'minutes, today');
    }

    /** One share of a result, and what became of its questions adds up in sight. */
    private function results(): void
    {
        $today = array_column($this->get("{$this->of}/today")['past'], null, 'id');
        $trend = array_column($this->get("{$this->of}/progress")['trend'], null, 'sitting');
        $tests = $this->get("{$this->of}/sittings?page=1&state=handed_in");
        foreach ($tests['tests'] as $line) {
            $result = $this->get("/api/sittings/{$line['id']}/result");
            $tally = $result['tally'];
            $share = $result['expected'] === null ? $result['share'] : null;
            $this->same($line['share'], $share, 'share: tests, result');
            $this->same($line['answered'], $tally['answered'], 'answered: tests, result');
            $told = $line['outcomes'] ?? array_intersect_key($tally, [
                'right' => 0, 'partly' => 0, 'missed' => 0, 'leftBlank' => 0, 'notReached' => 0, 'pending' => 0,
            ]);
            foreach ($told as $name => $n) {
                $this->same($n, $tally[$name], "{$name}: tests, result");
            }
            $this->same($tally['questions'], array_sum($told), 'what became of the questions adds up');
            $this->same($tally['questions'], count($result['questions']), 'questions listed');
            $this->same(
                $tally['marks'],
                Shown::decimal(\Brick\Math\BigRational::of($tally['earned'])->minus($tally['takenOff'])),
                'earned less taken off',
            );
            foreach ($result['breakdowns'] as $by) {
                if (! str_starts_with($by['by'], 'tag:')) {
                    $this->same(
                        $tally['questions'],
                        array_sum(array_map(fn (array $group): int => $group['tally']['questions'], $by['groups'])),
                        "questions by {$by['by']}",
                    );
                }
            }
            if (isset($today[$line['id']])) {
                $this->same($line['share'], $today[$line['id']]['share'], 'share: tests, today');
            }
            if (isset($trend[$line['id']])) {
                $this->test::assertEqualsWithDelta(
                    (float) $line['share'],
                    100 * $trend[$line['id']]['share'],
                    0.5001,
                    $this->where('share: tests, progress'),
                );
            }
        }
    }

    /** What is due, is due on every screen; gaps are open in the book, the builder and the library alike. */
    private function due(): void
    {
        $today = $this->get("{$this->of}/today")['quick'];
        $this->same($today['due'], $this->get("{$this->of}/revisits?show=due&page=1")['due'], 'due: today, revisits');
        $this->same($today['cards'], $this->get("{$this->of}/cards?show=due&page=1")['due'], 'cards due');
        $waits = array_column($this->get('/api/exams')['exams'], null, 'slug')[$this->exam->slug];
        $this->same($today['due'], $waits['due'], 'due: today, from another exam');
        $gaps = $this->get("{$this->of}/gaps?page=1");
        $held = $this->count([])['leftOut'] !== null;
        foreach (['due' => $today['due'], 'in_gap_book' => $gaps['open'] + $gaps['closing']] as $pool => $n) {
            // The builder leaves out, and says so, what a test whose clock runs still asks.
            $this->test::assertTrue(
                $held ? $this->count([$pool])['passing'] <= $n : $this->count([$pool])['passing'] === $n,
                $this->where("{$pool}: its screen and the builder"),
            );
        }
    }

    /** One outlook, and a plan that asks for no more than there is. */
    private function standing(): void
    {
        $today = $this->get("{$this->of}/today");
        $progress = $this->get("{$this->of}/progress");
        $plan = $this->get("{$this->of}/plan");
        $this->same($today['outlook'], $progress['outlook'], 'outlook: today, progress');
        $this->same($today['week'], $plan['thisWeek'], 'this week: today, plan');
        // The small skyline of today and the builder's marks, and the large one.
        $small = $this->get("{$this->of}/mastery")['topics'];
        foreach (['name', 'weight', 'share', 'low', 'high', 'responses', 'stake'] as $what) {
            $this->same(
                array_column($progress['topics'], $what, 'code'),
                array_column($small, $what, 'code'),
                "{$what} of a topic: progress, today",
            );
        }
        foreach ($progress['topics'] as $topic) {
            $new = 0;
            foreach ($plan['weeks'] as $week) {
                $asked = array_column($week['weak'], 'questions', 'code')[$topic['code']] ?? 0;
                $new += array_column($week['new'], 'questions', 'code')[$topic['code']] ?? 0;
                $this->test::assertLessThanOrEqual($topic['all'], $asked, $this->where("at stake, {$topic['code']}"));
            }
            $this->test::assertLessThanOrEqual($topic['all'] - $topic['seen'], $new, $this->where('new, plan'));
        }
        foreach ($plan['weeks'] as $week) {
            $this->same($week['ms'], $week['plannedMs'] + $week['spareMs'], 'hours of a week add up');
        }
    }

    private function same(mixed $one, mixed $other, string $what): void
    {
        $this->test::assertEquals($one, $other, $this->where($what));
    }

    private function where(string $what): string
    {
        return "{$this->user->name}, {$this->exam->slug}: {$what}";
    }

    /** @return array<string, mixed> */
    private function get(string $path): array
    {
        return (array) $this->test->getJson($path)->assertOk()->json();
    }

    /**
     * @param  list<string>  $pools
     * @return array<string, mixed>
     */
    private function count(array $pools): array
    {
        return (array) $this->test->postJson("{$this->of}/count", [
            'pools' => $pools, 'count' => 10, 'mode' => 'tutor',
        ])->assertOk()->json();
    }
}
