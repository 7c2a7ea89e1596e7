<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Account\User;
use App\Assembly\Bank;
use App\Assembly\Choices;
use App\Assembly\Pool;
use App\Assembly\Spread;
use App\Assembly\TestBuilder;
use App\Http\Refusal;
use App\Question\Exam;
use App\Scoring\Settlement;
use App\Sitting\Moment;
use App\Sitting\Sitting;
use App\Sitting\Sittings;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Cohort\Responder;
use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Question\Definition;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Written;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Mode;

/**
 * Gives a made-up person a past: sittings on earlier days, answered as the simulator says and recorded through the same
 * code as anybody's. Nothing here writes an outcome or a total of its own.
 *
 * @phpstan-type Story array{days: int, sittings: int, questions: int, ability: float, growth: float, bias: float, leaves_open?: bool, timed_from?: float}
 */
final readonly class DemoHistory
{
    private const TAB = 'history';

    public function __construct(private TestBuilder $builder, private Sittings $sittings, private Settlement $settlement)
    {
    }

    /**
     * @param  Story  $story
     * @return int how many sittings there are now
     */
    public function tell(User $user, Exam $exam, array $story): int
    {
        $simulator = new Simulator("history of {$user->made_up_as}");
        $items = $this->items($simulator, $exam);
        $today = Carbon::now();
        try {
            for ($i = 0; $i < $story['sittings']; $i++) {
                $day = (int) round($story['days'] * ($i + 1) / $story['sittings']);
                Carbon::setTestNow($today->copy()->subDays($story['days'] + 1 - $day)->setTime(18, 5 + $simulator->chance->between(0, 50)));
                $progress = $i / max(1, $story['sittings'] - 1);
                $person = $this->person($story, $progress, $simulator);
                $last = $i === $story['sittings'] - 1 && ($story['leaves_open'] ?? false);
                $this->sit($user, $exam, $simulator, $person, $items, $this->choices($user, $exam, $story, $i, $progress), $last);
            }
        } finally {
            Carbon::setTestNow();
        }

        return $story['sittings'];
    }

    /** @param  Story  $story */
    private function person(array $story, float $progress, Simulator $simulator): SimulatedPerson
    {
        $general = $story['ability'] + $story['growth'] * $progress;

        return new SimulatedPerson(array_map(fn (): float => $general + $simulator->chance->normal(0, .3), range(0, 7)), .1 * $progress, $story['bias']);
    }

    /**
     * New questions at first; then now and again those that went wrong.
     *
     * @param  Story  $story
     */
    private function choices(User $user, Exam $exam, array $story, int $i, float $progress): Choices
    {
        $topics = $exam->topics()->whereNull('parent_id')->pluck('code')->all();
        $mode = $progress >= ($story['timed_from'] ?? .5) ? Mode::Timed : Mode::Tutor;
        $again = [Pool::Missed, Pool::Partly, Pool::LeftBlank];
        $bank = new Bank($exam, $user);
        $wrong = array_sum($bank->available(array_keys($bank->all()), $again));
        if ($i % 3 === 2 && $wrong >= 4) {
            return new Choices($topics, $again, min($story['questions'], $wrong), Mode::Tutor, Spread::Available, null);
        }

        return new Choices($topics, [], $story['questions'], $mode, Spread::Blueprint, null);
    }

    /** @param  array<int, SimulatedItem>  $items */
    private function sit(User $user, Exam $exam, Simulator $simulator, SimulatedPerson $person, array $items, Choices $choices, bool $leave): void
    {
        try {
            $sitting = $this->builder->build($exam, $user, $choices, "{$user->made_up_as} ".Carbon::now()->toDateString());
        } catch (Refusal) {
            return;
        }
        $this->sittings->open($sitting, self::TAB, false);
        $asked = $this->settlement->items($sitting);
        $stop = $leave ? intdiv(count($asked), 2) : count($asked);
        $now = Moment::now();
        $seq = 10;
        $events = $written = [];
        $responder = new Responder($simulator->chance);
        foreach (array_slice($asked, 0, $stop) as $position => $item) {
            $answer = $simulator->answer($person, $items[$item->questionId]);
            $event = function (EventKind $kind, mixed $value = null) use (&$events, &$seq, &$now, $position): void {
                $seq++;
                $events[] = new Event("h{$seq}", $seq, $kind, $now, $now, $position, is_array($value) || is_string($value) || is_bool($value) ? $value : null);
            };
            $event(EventKind::Shown);
            $now += min($answer->ms, 80_000);
            if ($answer->struck !== []) {
                $event(EventKind::Struck, $answer->struck);
            }
            $question = $asked[$position]->question;
            $event(EventKind::Answered, $responder->respond($answer, $question));
            $event(EventKind::Sureness, $answer->sureness->value);
            if ($question instanceof Written) {
                $written[$position] = $answer->right;
            }
            if ($answer->sureness->value === 'guess' && $simulator->chance->happens(.4)) {
                $event(EventKind::Flagged, true);
            }
            if ($choices->mode === Mode::Tutor) {
                $event(EventKind::Checked);
                $now += $simulator->chance->between(8_000, 30_000);
            }
        }
        // The page was awake all the while, so no gap counts as a pause.
        Carbon::setTestNow(Carbon::createFromTimestampMs($now));
        $this->sittings->record($sitting, self::TAB, $events, 0);
        if (! $leave) {
            $this->sittings->handIn($sitting, self::TAB, [], 0);
            foreach ($written as $position => $right) {
                $question = $asked[$position]->question;
                assert($question instanceof Written);
                $this->sittings->markByRubric($sitting, $position, $responder->rubricMarks($question, $right));
            }
        }
        Sitting::query()->whereKey($sitting->id)->update(['updated_at' => Carbon::now()]);
    }

    /** @return array<int, SimulatedItem> by question id */
    private function items(Simulator $simulator, Exam $exam): array
    {
        $items = [];
        $rows = DB::table('questions')->join('question_versions', 'question_versions.id', '=', 'questions.version_id')->where('questions.exam_id', $exam->id)
            ->orderBy('questions.id')->get(['questions.id', 'kind', 'difficulty', 'shown', 'answer', 'topic_id']);
        foreach ($rows as $row) {
            $question = Definition::question(Kind::from((string) $row->kind), (array) json_decode((string) $row->shown, true), (array) json_decode((string) $row->answer, true));
            $items[(int) $row->id] = $simulator->itemOf((int) $row->id, (int) $row->topic_id % 8, (string) $row->difficulty, $question);
        }

        return $items;
    }
}
