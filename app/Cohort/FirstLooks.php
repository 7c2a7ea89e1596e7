<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Question\Exam;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Cohort\FirstLook;
use Uplandia\Core\Question\Kind;

/** What an exam's cohort answered when it met each question first. */
final class FirstLooks
{
    /**
     * First looks in timed sittings that count, by candidates.
     *
     * @return iterable<FirstLook> the item is the version
     */
    public function of(Exam $exam): iterable
    {
        $rows = Candidates::only(DB::table('outcomes'), $exam->id, 'outcomes.user_id')
            ->join('sittings', 'sittings.id', '=', 'outcomes.sitting_id')
            ->join('question_versions', 'question_versions.id', '=', 'outcomes.version_id')
            ->where('outcomes.exam_id', $exam->id)
            ->where('outcomes.counts', true)
            ->where('sittings.in_cohort', true)
            ->where('outcomes.first_look', true)
            ->where('sittings.mode', Mode::Timed->value)
            ->whereNotNull('outcomes.share')
            ->select([
                'outcomes.user_id',
                'outcomes.version_id',
                'outcomes.share',
                'outcomes.response',
                'outcomes.active_ms',
                'kind',
            ])
            ->cursor();
        foreach ($rows as $row) {
            $choice =
                $row->kind === Kind::Single->value
                    ? json_decode((string) $row->response, true)['choice'] ?? null
                    : null;
            yield new FirstLook(
                person: (int) $row->user_id,
                item: (int) $row->version_id,
                credit: (float) $row->share,
                option: is_string($choice) ? $choice : null,
                ms: (int) $row->active_ms,
            );
        }
    }
}
