<?php

declare(strict_types=1);

namespace App\Today;

use App\Assembly\CountsView;
use App\Assembly\OwnPools;
use App\Assembly\TestName;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\OwnStandings;
use App\Revisit\CardReader;
use App\Sitting\QuickTest;
use App\Sitting\Sitting;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;

/** Tests that begin with one click: ten quick ones, what is due, what was missed, partly right or left blank. */
final readonly class QuickStarts
{
    /** As many as one sits down to without thinking. */
    private const MOST = 20;

    private const TEN = 10;

    public function __construct(
        private QuickTest $quick,
        private CardReader $cards,
        private ClockInterface $clock,
    ) {
    }

    /** Question by question: whole cases and sets are only made up when one begins. */
    public function of(Candidacy $candidacy, CountsView $counts): QuickView
    {
        $last = DB::table('tests')
            ->join('recipes', 'recipes.id', '=', 'tests.recipe_id')
            ->where('tests.user_id', $candidacy->user->id)
            ->where('tests.exam_id', $candidacy->exam->id)
            ->where('recipes.user_id', $candidacy->user->id)
            ->latest('tests.created_at')
            ->latest('tests.id')
            ->first(['recipes.id', 'recipes.name', 'recipes.choices']);
        $numbers = $this->numbers($candidacy);
        $blueprint = $candidacy->exam->hasBlueprint() ? $candidacy->exam->blueprint() : null;

        return new QuickView(
            due: $numbers['due'] - $numbers['retired'],
            cards: $numbers['cards'],
            missed: $counts->missed + $counts->partly + $counts->leftBlank,
            recipe: $last?->id,
            recipeName: $last === null ? null : (string) ($last->name ?? TestName::of(
                Recipe::of((array) json_decode((string) $last->choices, true)),
                $candidacy->syllabus(),
            )),
            rehearsal: $blueprint?->questions() ?? 0,
            minutes: $blueprint->minutes ?? 0,
            papers: $numbers['papers'],
            series: $numbers['series'],
        );
    }

    /** @throws Refusal when there is nothing of the sort */
    public function begin(Candidacy $candidacy, QuickStart $start): Sitting
    {
        $most = $start === QuickStart::Ten ? self::TEN : self::MOST;
        $filters = self::filters($start);
        if ($start === QuickStart::Ten) {
            $new = $this->quick->count(candidacy: $candidacy, filters: $filters, most: $most);
            // Whoever has met nearly all of it goes over what they saw longest ago.
            $filters = $new < $most ? new Filters() : $filters;
        }

        return $this->quick->begin(
            candidacy: $candidacy,
            filters: $filters,
            most: $most,
            otherwise: match ($start) {
                QuickStart::Due => 'Nothing is due to revisit just now.',
                QuickStart::Missed => 'Nothing is missed, partly right or left blank, or it is in a timed test that is not handed in.',
                QuickStart::Ten => 'There are no questions to ask just now.',
            },
        );
    }

    /**
     * All that is to be counted, with one statement. What is due one index tells, less the few that are retired.
     *
     * @return array{due: int, retired: int, cards: int, papers: int, series: int}
     */
    private function numbers(Candidacy $candidacy): array
    {
        $pools = OwnPools::of($candidacy, $this->clock);
        $ofExam = fn (string $table): Builder => DB::table($table)->where('exam_id', $candidacy->exam->id);
        $counted = DB::query();
        foreach ([
            'due' => $pools->narrow(OwnStandings::of($candidacy), [Pool::Due]),
            'retired' => $pools->narrow(OwnStandings::ofRetired($candidacy), [Pool::Due]),
            'cards' => $this->cards->due($candidacy),
            'papers' => $ofExam('papers'),
            'series' => $ofExam('series'),
        ] as $name => $rows) {
            $counted->selectSub($rows->selectRaw('count(*)'), $name);
        }

        /** @var array{due: int, retired: int, cards: int, papers: int, series: int} */
        return array_map(intval(...), (array) $counted->first());
    }

    private static function filters(QuickStart $start): Filters
    {
        return new Filters(new PoolFilter(...match ($start) {
            QuickStart::Ten => [Pool::NewToMe],
            QuickStart::Due => [Pool::Due],
            QuickStart::Missed => [Pool::Missed, Pool::Partly, Pool::LeftBlank],
        }));
    }
}
