<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Clock\Moment;
use App\Database\Pages;
use App\Library\MetQuestions;
use App\Question\Candidacy;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use stdClass;
use Uplandia\Core\Marking\Outcome;

/** Reads what comes back and when. What is retired is asked no more, so it does not come back either. */
final readonly class RevisitReader
{
    private const PAGE = 50;

    /** Days after today that are told one by one. */
    private const AHEAD = 28;

    public function __construct(
        private MetQuestions $questions,
        private DueDays $days,
        private ClockInterface $clock,
    ) {
    }

    public function of(Candidacy $candidacy, RevisitsShown $show, int $page): RevisitsView
    {
        $enrolment = $candidacy->enrolment();
        $today = $candidacy->today($this->clock);
        $byDay = $this->days->of($candidacy, $today);
        $suspended = $this->suspended($candidacy)->count();
        $due = $byDay[$today] ?? 0;
        $coming = array_sum($byDay) - $due;
        $shown = Pages::of(
            rows: $this->wanted($candidacy, $show),
            page: $page,
            each: self::PAGE,
            columns: ['standings.question_id'],
            total: match ($show) {
                RevisitsShown::Due => $due,
                RevisitsShown::Coming => $coming,
                RevisitsShown::Suspended => $suspended,
            },
        );
        $days = [];
        for ($day = $today; $day <= $today + self::AHEAD; $day++) {
            if ($day === $today || $enrolment->examDay === null || $day < $enrolment->examDay) {
                $days[] = new DueDayView(Moment::date($day), $byDay[$day] ?? 0);
            }
        }

        return new RevisitsView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            today: Moment::date($today),
            examDate: $enrolment->examDate(),
            due: $due,
            coming: $coming,
            suspended: $suspended,
            days: $days,
            later: array_sum(array_filter(
                $byDay,
                fn (int $day): bool => $day > $today + self::AHEAD,
                ARRAY_FILTER_USE_KEY,
            )),
            page: $shown->currentPage(),
            pages: $shown->lastPage(),
            revisits: $this->revisits($candidacy, self::ids($shown->getCollection())),
        );
    }

    /** @return list<int> questions that are due, the longest first */
    public function due(Candidacy $candidacy, int $most): array
    {
        return self::ids(
            $this->live($this->shown($candidacy, RevisitsShown::Due))
                ->orderBy('due_day')
                ->orderBy('standings.question_id')
                ->limit($most)
                ->get(['standings.question_id']),
        );
    }

    private function wanted(Candidacy $candidacy, RevisitsShown $show): Builder
    {
        $rows = $show === RevisitsShown::Suspended
            ? $this->suspended($candidacy)->orderByDesc('said_ms')
            : $this->live($this->shown($candidacy, $show))->orderBy('due_day');

        return $rows->orderBy('standings.question_id');
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @return list<int>
     */
    private static function ids(Collection $rows): array
    {
        return array_map(intval(...), array_values($rows->pluck('question_id')->all()));
    }

    private function shown(Candidacy $candidacy, RevisitsShown $show): Builder
    {
        $enrolment = $candidacy->enrolment();
        $today = $candidacy->today($this->clock);
        $rows = DueDays::scheduled($candidacy);
        if ($enrolment->allIsDueOn($today)) {
            return $show === RevisitsShown::Due ? $rows : $rows->whereRaw('false');
        }

        return $rows->where('due_day', $show === RevisitsShown::Due ? '<=' : '>', $today);
    }

    private function live(Builder $standings): Builder
    {
        return $standings
            ->join('questions', 'questions.id', '=', 'standings.question_id')
            ->whereNull('questions.retired_at');
    }

    private function suspended(Candidacy $candidacy): Builder
    {
        return DB::table('revisit_words')
            ->join(
                'standings',
                fn ($join) => $join
                    ->on('standings.question_id', '=', 'revisit_words.question_id')
                    ->on('standings.user_id', '=', 'revisit_words.user_id'),
            )
            ->where('revisit_words.user_id', $candidacy->user->id)
            ->where('revisit_words.exam_id', $candidacy->exam->id)
            ->where('suspended', true)
            ->whereNotNull('standings.outcome');
    }

    /**
     * @param  list<int>  $questions
     * @return list<RevisitView>
     */
    private function revisits(Candidacy $candidacy, array $questions): array
    {
        $enrolment = $candidacy->enrolment();
        $today = $candidacy->today($this->clock);
        $met = $this->questions->of($candidacy, $questions);

        return array_map(
            fn (int $question): RevisitView => new RevisitView(
                question: $question,
                excerpt: $met[$question]->excerpt,
                topic: $met[$question]->topic,
                subtopic: $met[$question]->subtopic,
                // What was only marked has no due day, so this one was met.
                outcome: $met[$question]->outcome ?? Outcome::NotReached,
                seen: $met[$question]->seen,
                due: $met[$question]->due($enrolment->examDay),
                recall: $met[$question]->recall($today),
                sitting: $met[$question]->sitting,
                position: $met[$question]->position,
            ),
            $questions,
        );
    }
}
