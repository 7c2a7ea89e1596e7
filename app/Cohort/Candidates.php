<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Account\Role;
use Illuminate\Database\Query\Builder;

/** Who belongs to the cohort of an exam: its candidates, nobody who writes its questions, nobody who stays out. */
final class Candidates
{
    /**
     * @param  string  $user  column that holds their id, such as "sittings.user_id"
     * @return Builder the same rows, of candidates only
     */
    public static function only(Builder $rows, int $exam, string $user): Builder
    {
        return $rows
            ->join('users', 'users.id', '=', $user)
            ->where('users.role', Role::Candidate->value)
            ->whereNotExists(
                fn (Builder $roles): Builder => $roles
                    ->from('exam_roles')
                    ->where('exam_roles.exam_id', $exam)
                    ->whereColumn('exam_roles.user_id', $user),
            )
            ->whereNotExists(
                fn (Builder $enrolments): Builder => $enrolments
                    ->from('enrolments')
                    ->where('enrolments.exam_id', $exam)
                    ->where('enrolments.in_cohort', false)
                    ->whereColumn('enrolments.user_id', $user),
            );
    }
}
