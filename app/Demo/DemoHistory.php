<?php

declare(strict_types=1);

namespace App\Demo;

use App\Assembly\Bank;
use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Assembly\TestBuilder;
use App\Assembly\TestItem;
use App\Assembly\TestItems;
use App\Http\Refusal;
use App\Plan\PlanHours;
use App\Progress\KeptEstimates;
use App\Question\Candidacy;
use App\Question\Enrolment;
use App\Question\Exam;
use App\Question\QuestionVersion;
use App\Question\Syllabus;
use App\Sitting\Closing;
use App\Sitting\Opening;
use App\Sitting\Recorder;
use App\Sitting\Sitting;
use App\Sitting\SittingRepository;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Spread;
use Uplandia\Core\Cohort\SimulatedAnswer;
use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Question\Written;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Sureness;

/**
 * Gives a made-up person a past: sittings on earlier days, answered as the simulator says and recorded through the
 * same code as anybody's. Nothing here writes an outcome or a total of its own.
 *
 * @phpstan-type Last array{paper?: string, questions?: int, ability?: float, fades?: float, slower?: float}
 * @phpstan-type Story array{
 *     days: int, sittings: int, questions: int, ability: float, growth: float, bias: float, leaves_open?: bool,
 *     timed_from?: float, last?: Last, exam_in?: int, hours?: float, off?: list<int>
 * }
 */
final readonly class DemoHistory
{
    private const TAB = 'history';

    /** The longest that a made-up person looks at a question, in milliseconds. */
    private const LONGEST_LOOK = 80_000;

    /** Whoever is this close to the end of the time, in milliseconds, does not begin another question. */
    private const LAST_MOMENT = 240_000;

    public function __construct(
        private Bank $bank,
        private TestBuilder $builder,
        private TestItems $items,
        private SittingRepository $repository,
        private Opening $opening,
        private Recorder $recorder,
        private Closing $closing,
        private PaperTests $papers,
        private KeptEstimates $kept,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param  Story  $story
     * @return int how many sittings there are now
     */
    public function tell(Candidacy $candidacy, array $story): int
    {
        $simulator = new Simulator("history of {$candidacy->user->made_up_as}");
        $simulated = $this->simulated($simulator, $candidacy->exam);
        $today = Carbon::instance($this->clock->now());
        // Whoever has moved the clock finds it where it was.
        $before = Carbon::getTestNow();
        try {
            for ($i = 0; $i < $story['sittings']; $i++) {
                $day = (int) round(($story['days'] * ($i + 1)) / $story['sittings']);
                Carbon::setTestNow(
                    $today
                        ->copy()
                        ->subDays($story['days'] + 1 - $day)
                        ->setTime(18, 5 + $simulator->chance->between(0, 50)),
                );
                $progress = $i / max(1, $story['sittings'] - 1);
                $person = $this->person($story, $progress, $simulator);
                $open = $story['leaves_open'] ?? false;
                if ($open && $i === $story['sittings'] - 1) {
                    $run = new DemoRun($simulator, $person, $simulated);
                    $this->last(candidacy: $candidacy, story: $story, run: $run);
                }
                $recipe = $this->recipe(candidacy: $candidacy, story: $story, i: $i, progress: $progress);
                $leave = $i === $story['sittings'] - 1 && $open;
                $this->build(
                    candidacy: $candidacy,
                    recipe: $recipe,
                    run: new DemoRun(simulator: $simulator, person: $person, simulated: $simulated, leaves: $leave),
                );
            }
            if (! ($story['leaves_open'] ?? false)) {
                $this->last(
                    candidacy: $candidacy,
                    story: $story,
                    run: new DemoRun($simulator, $this->person($story, 1, $simulator), $simulated),
                );
            }
        } finally {
            Carbon::setTestNow($before);
        }

        if (isset($story['exam_in'])) {
            Enrolment::keep(
                user: $candidacy->user->id,
                exam: $candidacy->exam->id,
                examDate: $today->copy()->addDays($story['exam_in'])->toDateString(),
                timeZone: 'UTC',
            );
        }
        if (isset($story['hours'])) {
            PlanHours::keep(
                candidacy: $candidacy,
                week: (float) $story['hours'],
                weekdaysOff: $story['off'] ?? [],
                datesOff: [],
            );
        }

        return Sitting::query()->where('user_id', $candidacy->user->id)->count();
    }

    /**
     * A longer test at the end, which shows what a person is like.
     *
     * @param  Story  $story
     */
    private function last(Candidacy $candidacy, array $story, DemoRun $run): void
    {
        $last = $story['last'] ?? null;
        if ($last === null) {
            return;
        }
        // In the afternoon before a test that is still open, else on the evening after the others.
        $hour = $story['leaves_open'] ?? false ? 14 : 20;
        Carbon::setTestNow(Carbon::instance($this->clock->now())->setTime($hour, 0));
        // A chance of its own: what a paper comes to does not hang on which day the others were drawn.
        $simulator = new Simulator("the last test of {$candidacy->user->made_up_as}");
        $run = new DemoRun(
            simulator: $simulator,
            person: $this->person($story, 1, $simulator)->shifted($last['ability'] ?? 0.0),
            simulated: $run->simulated,
            fades: $last['fades'] ?? 0.0,
            slower: $last['slower'] ?? 1.0,
        );
        $paper = Paper::query()
            ->with('exam')
            ->where('exam_id', $candidacy->exam->id)
            ->where('code', $last['paper'] ?? '')
            ->first();
        if ($paper !== null) {
            $this->sit(Sitting::createFor($this->papers->of($paper), $candidacy->user), Mode::Timed, $run);
        } else {
            $recipe = new Recipe(new Filters(), $last['questions'] ?? $story['questions'], Mode::Timed);
            $this->build(candidacy: $candidacy, recipe: $recipe, run: $run);
        }
        Carbon::setTestNow(Carbon::instance($this->clock->now())->setTime(18, 30));
    }

    /** @param  Story  $story */
    private function person(array $story, float $progress, Simulator $simulator): SimulatedPerson
    {
        $general = $story['ability'] + $story['growth'] * $progress;
        $theta = array_map(fn (): float => $general + $simulator->chance->normal(0, 0.3), range(0, 7));

        return new SimulatedPerson($theta, 0.1 * $progress, $story['bias']);
    }

    /**
     * New questions at first; then now and again those that went wrong.
     *
     * @param  Story  $story
     */
    private function recipe(Candidacy $candidacy, array $story, int $i, float $progress): Recipe
    {
        $mode = $progress >= ($story['timed_from'] ?? 0.5) ? Mode::Timed : Mode::Tutor;
        $again = new Filters(new PoolFilter(Pool::Missed, Pool::Partly, Pool::LeftBlank));
        $wrong = $this->bank->available(
            $this->bank->selection($candidacy, $again),
        );
        if ($i % 3 === 2 && $wrong >= 4) {
            return new Recipe(
                filters: $again,
                count: min($story['questions'], $wrong),
                mode: Mode::Tutor,
                spread: Spread::Available,
            );
        }

        return new Recipe(new Filters(), $story['questions'], $mode);
    }

    private function build(Candidacy $candidacy, Recipe $recipe, DemoRun $run): void
    {
        try {
            // By how many came before, not by the day: the same past whenever it is told.
            $before = Sitting::query()->where($candidacy->key())->count();
            $seed = "{$candidacy->user->made_up_as} {$before}";
            $test = $this->builder->build(candidacy: $candidacy, recipe: $recipe, seed: $seed);
        } catch (Refusal) {
            return;
        }
        $this->sit(Sitting::createFor($test, $candidacy->user), $recipe->mode, $run);
    }

    private function sit(Sitting $sitting, Mode $mode, DemoRun $run): void
    {
        $this->opening->open($sitting, self::TAB, false);
        $deadline = $sitting->refresh()->deadline_ms;
        $asked = $this->items->of($sitting->test_id);
        $stop = $run->leaves ? intdiv(count($asked), 2) : count($asked);
        [$events, $end, $written] = $this->events(
            sitting: $sitting,
            asked: array_slice($asked, 0, $stop, true),
            mode: $mode,
            run: $run,
        );
        // The page was awake all the while, so no gap counts as a pause.
        Carbon::setTestNow(Carbon::createFromTimestampMs($end));
        $this->recorder->record(sitting: $sitting, tab: self::TAB, events: $events, awake: Awake::since(0));
        if ($deadline !== null && $end > $deadline - self::LAST_MOMENT) {
            // They went on until the clock stopped them.
            Carbon::setTestNow(Carbon::createFromTimestampMs($deadline + 1000));
        }
        if (! $run->leaves) {
            $this->closing->handIn(sitting: $sitting, tab: self::TAB, events: [], awake: Awake::since(0));
            foreach ($written as $position => $points) {
                $this->closing->markByRubric($sitting, $position, $points);
            }
        }
        Sitting::query()
            ->whereKey($sitting->id)
            ->update(['updated_at' => $this->clock->now()]);
        // They look at where they stand now.
        $sitting->loadMissing('test.exam', 'user');
        $this->kept->of($sitting->candidacy());
    }

    /**
     * @param  array<int, TestItem>  $asked
     * @return array{list<Event>, int, array<int, array<string, string>>} events, when they end, points of written
     *   answers
     */
    private function events(Sitting $sitting, array $asked, Mode $mode, DemoRun $run): array
    {
        $now = $this->repository->now();
        $deadline = $sitting->deadline_ms ?? PHP_INT_MAX;
        $events = $written = [];
        $add = function (
            EventKind $kind,
            int $now,
            ?int $position,
            array|string|bool|null $value = null,
        ) use (&$events): void {
            $events[] = self::event(n: count($events), kind: $kind, now: $now, position: $position, value: $value);
        };
        if ($sitting->terms()->reading > 0) {
            $add(EventKind::ReadingEnded, $now, null);
        }
        foreach ($asked as $position => $item) {
            $person = $run->person->shifted((-$run->fades * $position) / max(1, count($asked) - 1));
            $answer = $run->simulator->answer($person, $run->simulated[$item->questionId]);
            $takes = (int) ($run->slower * min($answer->ms, self::LONGEST_LOOK));
            if ($now + $takes > $deadline) {
                $add(EventKind::Shown, $now, $position);
                break;
            }
            foreach ($this->steps($answer, $item, $run) as [$kind, $value]) {
                $now += $kind === EventKind::Answered ? $takes : 0;
                $add($kind, $now, $position, $value);
            }
            if ($item->question instanceof Written) {
                $written[$position] = $item->question->rubricMarks($answer->right, $run->simulator->chance);
            }
            if ($mode === Mode::Tutor) {
                $add(EventKind::Checked, $now, $position);
                $now += $run->simulator->chance->between(8_000, 30_000);
            }
        }

        return [$events, $now, $written];
    }

    /** @return list<array{EventKind, array<mixed>|string|bool|null}> */
    private function steps(SimulatedAnswer $answer, TestItem $item, DemoRun $run): array
    {
        $flags = $answer->sureness === Sureness::Guess && $run->simulator->chance->happens(0.4);

        return [
            [EventKind::Shown, null],
            [EventKind::Answered, $answer->response($item->question, $run->simulator->chance)],
            ...$answer->struck === [] ? [] : [[EventKind::Struck, $answer->struck]],
            [EventKind::Sureness, $answer->sureness->value],
            ...$flags ? [[EventKind::Flagged, true]] : [],
        ];
    }

    /** @param  array<mixed>|string|bool|null  $value */
    private static function event(
        int $n,
        EventKind $kind,
        int $now,
        ?int $position,
        array|string|bool|null $value,
    ): Event {
        return new Event(
            id: "h{$n}",
            seq: $n + 11,
            kind: $kind,
            at: $now,
            madeAt: $now,
            position: $position,
            value: $value,
        );
    }

    /** @return array<int, SimulatedItem> by question id */
    private function simulated(Simulator $simulator, Exam $exam): array
    {
        $syllabus = Syllabus::of($exam);
        $tops = array_flip(array_column($syllabus->tops(), 'id'));
        $live = DB::table('questions')->where('exam_id', $exam->id)->whereNull('retired_at')->select('version_id');
        $items = [];
        foreach (QuestionVersion::query()->whereIn('id', $live)->orderBy('question_id')->get() as $version) {
            $items[$version->question_id] = $simulator->itemOf(
                id: $version->question_id,
                topic: $tops[$syllabus->topOf($version->topic_id)->id] % 8,
                difficulty: $version->difficulty,
                question: $version->forMarking(),
            );
        }

        return $items;
    }
}
