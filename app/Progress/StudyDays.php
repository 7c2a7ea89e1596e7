<?php

declare(strict_types=1);

namespace App\Progress;

use App\Clock\Moment;
use App\Question\Candidacy;
use App\Sitting\HandedIn;
use App\Sitting\KeyGate;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Progress\Runs;

/** On which days a candidate handed something in, and what went best. */
final readonly class StudyDays
{
    /** Twelve weeks. */
    private const SHOWN = 84;

    /** A test of fewer questions makes no record. */
    private const BEST_FROM = 20;

    public function __construct(private KeyGate $gate, private ClockInterface $clock)
    {
    }

    /** @return array<int, StudyDayView> by day, rising: all there are */
    public function of(Candidacy $candidacy): array
    {
        $enrolment = $candidacy->enrolment();
        $rows = HandedIn::of($candidacy)->orderBy('ended_ms')->get(['ended_ms', 'active_ms', 'answered']);
        $days = [];
        foreach ($rows as $row) {
            $day = $enrolment->dayOf((int) $row->ended_ms);
            $days[$day]['ms'] = ($days[$day]['ms'] ?? 0) + (int) $row->active_ms;
            $days[$day]['answered'] = ($days[$day]['answered'] ?? 0) + (int) $row->answered;
        }
        $views = [];
        foreach ($days as $day => $of) {
            $views[$day] = new StudyDayView(Moment::date($day), $of['ms'], $of['answered']);
        }

        return $views;
    }

    /**
     * @param  array<int, StudyDayView>  $days  by day, rising
     * @return list<StudyDayView> of the last twelve weeks
     */
    public function shown(Candidacy $candidacy, array $days): array
    {
        $first = $candidacy->today($this->clock) - self::SHOWN;

        return array_values(array_filter($days, fn (int $day): bool => $day > $first, ARRAY_FILTER_USE_KEY));
    }

    /** @param  array<int, StudyDayView>  $days  by day, rising */
    public function bests(Candidacy $candidacy, array $days): BestsView
    {
        $best = HandedIn::of($candidacy)
            ->where('counts', true)
            ->where('mode', Mode::Timed->value)
            ->where('questions', '>=', self::BEST_FROM)
            ->whereNotNull('share')
            ->whereNotIn('id', $this->gate->waiting($candidacy->user->id))
            ->orderByDesc('share')
            ->orderByDesc('ended_ms')
            ->first(['id', 'name', 'ended_ms', 'share', 'questions']);
        $most = null;
        foreach ($days as $day) {
            $most = $day->answered > ($most->answered ?? 0) ? $day : $most;
        }
        $runs = Runs::of(array_keys($days), $candidacy->today($this->clock));

        return new BestsView(
            timed: $best === null
                ? null
                : new BestTestView(
                    sitting: (string) $best->id,
                    title: (string) $best->name,
                    at: (int) $best->ended_ms,
                    share: (float) $best->share,
                    questions: (int) $best->questions,
                ),
            day: $most,
            run: $runs->longest,
            runNow: $runs->now,
        );
    }
}
