<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Result\AttemptView;
use App\Result\CohortPlaceView;
use App\Result\Compares;
use App\Result\MemberView;
use App\Result\PlaceView;
use App\Result\SameQuestionsView;
use App\Sitting\HandedIn;
use App\Sitting\Sitting;
use App\Sitting\Stage;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Cohort\Cohort;
use Uplandia\Core\Cohort\ComparedSitting;

/** Holds a sitting against others; incomplete runs and authors stay out. Source: computation.md, section 10. */
final readonly class Comparison implements Compares
{
    private const MOST_ATTEMPTS = 20;

    private const MOST_MEMBERS = 50;

    public function of(Sitting $sitting): PlaceView
    {
        $sitting->loadMissing('test');
        // Whoever knows more is asked what is harder, so shares of adaptive tests say nothing.
        $adaptive = $sitting->test->adaptive !== null;
        $agrees = DB::table('shared_sittings')
            ->where('test_id', $sitting->test_id)
            ->where('user_id', $sitting->user_id)
            ->value('agrees');

        return new PlaceView(
            cohort: $adaptive ? null : $this->cohort($sitting),
            questions: $adaptive ? null : $this->questions($sitting),
            attempts: $adaptive ? [] : $this->attempts($sitting),
            members: (bool) $agrees ? $this->members($sitting) : [],
            agrees: $agrees === null ? null : (bool) $agrees,
        );
    }

    private function cohort(Sitting $sitting): ?CohortPlaceView
    {
        $whole = $sitting->test->isWholeExam();
        // A test of one's own is nobody else's, unless it is shared.
        if ($sitting->test->user_id !== null && ! $whole) {
            return null;
        }
        [$cohort, $people] = self::read($this->others($sitting)->where('sittings.test_id', $sitting->test_id));
        $ofExam = $whole && ! $cohort->mayBeShown();
        if ($ofExam) {
            [$cohort, $people] = self::read(
                HandedIn::whole($this->others($sitting))->where('sittings.exam_id', $sitting->exam_id),
            );
        }
        $shown = $cohort->mayBeShown();

        return new CohortPlaceView(
            n: $cohort->size(),
            fewest: Cohort::SHOWN_FROM,
            leftOut: $people - $cohort->size(),
            ofExam: $ofExam,
            percentile: $shown && $sitting->counts && $sitting->in_cohort && $sitting->share !== null
                ? $cohort->percentile($sitting->share)
                : null,
            median: $shown ? $cohort->median() : null,
            share: $sitting->share,
            steps: $shown ? $cohort->distribution() : [],
        );
    }

    private function others(Sitting $sitting): Builder
    {
        return HandedIn::only(Candidates::only(DB::table('sittings'), $sitting->exam_id, 'sittings.user_id'))
            ->where('sittings.user_id', '!=', $sitting->user_id)
            ->whereNotNull('sittings.share')
            ->where('sittings.in_cohort', true)
            ->select([
                'sittings.user_id',
                'sittings.ended_ms',
                'sittings.share',
                'sittings.answered',
                'sittings.questions',
            ]);
    }

    /** @return array{Cohort, int} and how many people have sat it, whether they answered enough or not */
    private static function read(Builder $others): array
    {
        $sat = $others->get()->map(
            fn (stdClass $row): ComparedSitting => new ComparedSitting(
                candidate: (int) $row->user_id,
                at: (int) $row->ended_ms,
                score: (float) $row->share,
                answered: (int) $row->answered / max(1, (int) $row->questions),
            ),
        );

        return [Cohort::of($sat), $sat->pluck('candidate')->unique()->count()];
    }

    private function questions(Sitting $sitting): ?SameQuestionsView
    {
        $row = KnownQuestions::met()->where('outcomes.sitting_id', $sitting->id)->first();

        return $row === null || (int) $row->n === 0
            ? null
            : new SameQuestionsView(
                questions: (int) $row->n,
                answered: (int) $row->answered,
                cohort: (float) $row->cohort,
                mine: (float) $row->mine,
            );
    }

    /** @return list<AttemptView> */
    private function attempts(Sitting $sitting): array
    {
        return array_map(
            fn (Sitting $attempt): AttemptView => new AttemptView(
                sitting: $attempt->id,
                endedAt: (int) $attempt->ended_ms,
                share: $attempt->share,
                answered: $attempt->answered,
                questions: $attempt->questions,
                activeMs: $attempt->active_ms,
            ),
            array_values(
                Sitting::query()
                    ->where('user_id', $sitting->user_id)
                    ->where('test_id', $sitting->test_id)
                    ->where('status', Stage::HandedIn)
                    ->orderByDesc('ended_ms')
                    ->limit(self::MOST_ATTEMPTS)
                    ->get()
                    ->all(),
            ),
        );
    }

    /** @return list<MemberView> the highest share first */
    private function members(Sitting $sitting): array
    {
        $rows = HandedIn::only(DB::table('shared_sittings'))
            ->join('sittings', 'sittings.id', '=', 'shared_sittings.sitting_id')
            ->join('users', 'users.id', '=', 'shared_sittings.user_id')
            ->where('shared_sittings.test_id', $sitting->test_id)
            ->where('shared_sittings.agrees', true)
            ->where('sittings.in_cohort', true)
            ->orderByDesc('sittings.share')
            ->orderBy('users.id')
            ->limit(self::MOST_MEMBERS)
            ->get(['users.id', 'users.name', 'sittings.share', 'sittings.answered', 'sittings.questions']);

        return array_map(
            fn (stdClass $row): MemberView => new MemberView(
                name: (string) $row->name,
                mine: (int) $row->id === $sitting->user_id,
                share: $row->share === null ? null : (float) $row->share,
                answered: (int) $row->answered,
                questions: (int) $row->questions,
            ),
            array_values($rows->all()),
        );
    }
}
