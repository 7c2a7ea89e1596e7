<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;

/** What somebody's answers came to, question by question: the table `standings`, read as theirs alone. */
final class OwnStandings
{
    public static function of(Candidacy $candidacy): Builder
    {
        return self::only(DB::table('standings'), $candidacy);
    }

    /** Those of questions that are retired: few, so they are looked up one by one, and the others are not asked. */
    public static function ofRetired(Candidacy $candidacy): Builder
    {
        return self::only(
            DB::table('questions')
                ->where('questions.exam_id', $candidacy->exam->id)
                ->whereNotNull('questions.retired_at')
                ->crossJoin('standings')
                ->whereColumn('standings.question_id', 'questions.id'),
            $candidacy,
        );
    }

    /** @param  Builder  $rows  with standings among them */
    public static function only(Builder $rows, Candidacy $candidacy): Builder
    {
        return $rows
            ->where('standings.user_id', $candidacy->user->id)
            ->where('standings.exam_id', $candidacy->exam->id);
    }

    /**
     * Puts what somebody's answers came to beside questions, where they have met them.
     *
     * @param  string  $question  column with the question's id
     */
    public static function beside(Builder $rows, int $user, string $question = 'questions.id'): Builder
    {
        return $rows->leftJoin(
            'standings',
            fn (JoinClause $join): JoinClause => $join
                ->on('standings.question_id', '=', $question)
                ->where('standings.user_id', $user),
        );
    }
}
