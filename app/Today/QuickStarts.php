<?php

declare(strict_types=1);

namespace App\Today;

use App\Account\User;
use App\Assembly\Bank;
use App\Assembly\CountsView;
use App\Http\Refusal;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Revisit\CardReader;
use App\Sitting\QuickTest;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Pool;

/** Tests that begin with one click: ten quick ones, what is due, what went wrong last time. */
final readonly class QuickStarts
{
    /** As many as one sits down to without thinking. */
    private const MOST = 20;

    private const TEN = 10;

    public function __construct(private Bank $bank, private QuickTest $quick, private CardReader $cards)
    {
    }

    /** Question by question: whole cases and sets are only made up when one begins. */
    public function of(Exam $exam, User $user, CountsView $counts): QuickView
    {
        $last = DB::table('tests')
            ->join('recipes', 'recipes.id', '=', 'tests.recipe_id')
            ->where('tests.user_id', $user->id)
            ->where('tests.exam_id', $exam->id)
            ->where('recipes.user_id', $user->id)
            ->latest('tests.created_at')
            ->latest('tests.id')
            ->first(['recipes.id', 'tests.title']);
        $blueprint = $exam->hasBlueprint() ? $exam->blueprint() : null;

        return new QuickView(
            due: $this->due($exam, $user),
            cards: $this->cards->due($exam, $user)->count(),
            missed: $counts->missed + $counts->partly + $counts->leftBlank,
            recipe: $last?->id,
            recipeName: $last?->title,
            rehearsal: $blueprint?->questions() ?? 0,
            minutes: $blueprint->minutes ?? 0,
            papers: DB::table('papers')->where('exam_id', $exam->id)->count(),
            series: DB::table('series')->where('exam_id', $exam->id)->count(),
        );
    }

    /** @throws Refusal when there is nothing of the sort */
    public function begin(Exam $exam, User $user, QuickStart $start): Sitting
    {
        $most = $start === QuickStart::Ten ? self::TEN : self::MOST;
        $filters = self::filters($start);
        if ($start === QuickStart::Ten) {
            $new = $this->quick->count(exam: $exam, user: $user, filters: $filters, most: $most);
            // Whoever has met nearly all of it goes over what they saw longest ago.
            $filters = $new < $most ? new Filters() : $filters;
        }

        return $this->quick->begin(
            exam: $exam,
            user: $user,
            filters: $filters,
            most: $most,
            otherwise: match ($start) {
                QuickStart::Due => 'Nothing is due to revisit just now.',
                QuickStart::Missed => 'Nothing went wrong last time, or it is in a test whose clock still runs.',
                QuickStart::Ten => 'There are no questions to ask just now.',
            },
        );
    }

    /** All that is due, which one index tells, less the few that are retired. */
    private function due(Exam $exam, User $user): int
    {
        $selection = $this->bank->selection(
            exam: $exam,
            user: $user,
            filters: self::filters(QuickStart::Due),
            syllabus: Syllabus::of($exam),
        );

        return $selection->inPools($selection->standings())->count()
            - $selection->inPools($selection->standingsOfRetired())->count();
    }

    private static function filters(QuickStart $start): Filters
    {
        return new Filters(
            pools: match ($start) {
                QuickStart::Ten => [Pool::NewToMe],
                QuickStart::Due => [Pool::Due],
                QuickStart::Missed => [Pool::Missed, Pool::Partly, Pool::LeftBlank],
            },
        );
    }
}
