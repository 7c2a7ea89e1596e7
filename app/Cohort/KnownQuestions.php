<?php

declare(strict_types=1);

namespace App\Cohort;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Cohort\ItemStatistics;
use Uplandia\Core\Marking\Outcome;

/** What somebody made of questions that enough of the cohort have met first, beside what the cohort made of them. */
final class KnownQuestions
{
    /** @return Builder outcomes that are settled, with n, how many were answered, mean credit and the cohort's */
    public static function met(): Builder
    {
        return DB::table('outcomes')
            ->join('item_statistics', 'item_statistics.version_id', '=', 'outcomes.version_id')
            ->where('item_statistics.n', '>=', ItemStatistics::SHOWN_FROM)
            ->whereNotNull('item_statistics.facility')
            ->whereNotIn('outcomes.outcome', [Outcome::Pending->value, Outcome::NotReached->value])
            ->selectRaw('count(*) as n, avg(coalesce(outcomes.share, 0.0)) as mine')
            ->selectRaw('avg(item_statistics.facility) as cohort')
            ->selectRaw("count(case when outcomes.outcome != 'left_blank' then 1 end) as answered");
    }
}
