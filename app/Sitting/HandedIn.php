<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Question\Candidacy;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Sittings that are handed in and have not been deleted. */
final class HandedIn
{
    public static function of(Candidacy $candidacy): Builder
    {
        return self::only(DB::table('sittings'))
            ->where('sittings.user_id', $candidacy->user->id)
            ->where('sittings.exam_id', $candidacy->exam->id);
    }

    /** @param  Builder  $rows  of sittings, or beside them */
    public static function only(Builder $rows): Builder
    {
        return $rows->where('sittings.status', Stage::HandedIn->value)->whereNull('sittings.deleted_at');
    }

    /**
     * Whole papers and rehearsals; a section alone is none.
     *
     * @param  Builder  $rows  of sittings
     */
    public static function whole(Builder $rows): Builder
    {
        return $rows
            ->join('tests', 'tests.id', '=', 'sittings.test_id')
            ->where('tests.of_exam', true)
            ->whereNull('tests.section');
    }
}
