<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Account\User;
use App\Question\Exam;
use App\Question\Syllabus;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Revisit\GapState;

/** Reads all gaps of a candidate in lines, the newest first: enough to filter and count them. */
final class GapLines
{
    /** @return list<GapLine> */
    public function of(Exam $exam, User $user): array
    {
        $syllabus = Syllabus::of($exam);
        $sections = $this->sections($exam, $user);
        $rows = DB::table('standings')
            ->leftJoin(
                'gap_entries',
                fn (JoinClause $join): JoinClause => $join
                    ->on('gap_entries.question_id', '=', 'standings.question_id')
                    ->where('gap_entries.user_id', $user->id),
            )
            ->where('standings.user_id', $user->id)
            ->where('standings.exam_id', $exam->id)
            ->whereNotNull('standings.gap')
            ->orderByDesc('standings.gap_day')
            ->orderByDesc('standings.question_id')
            ->get(['standings.question_id', 'standings.topic_id', 'gap', 'gap_day', 'cause']);
        $lines = [];
        foreach ($rows as $row) {
            $lines[] = new GapLine(
                question: (int) $row->question_id,
                topic: $syllabus->topOf((int) $row->topic_id)->code,
                state: GapState::from((string) $row->gap),
                cause: $row->cause,
                sections: $sections[(int) $row->question_id] ?? [],
                day: (int) $row->gap_day,
            );
        }

        return $lines;
    }

    /** @return array<int, list<string>> by question */
    private function sections(Exam $exam, User $user): array
    {
        $rows = DB::table('standings')
            ->join(
                'question_tags',
                fn (JoinClause $join): JoinClause => $join
                    ->on('question_tags.question_id', '=', 'standings.question_id')
                    ->where('question_tags.family', Filters::READS),
            )
            ->where('standings.user_id', $user->id)
            ->where('standings.exam_id', $exam->id)
            ->whereNotNull('standings.gap')
            ->get(['standings.question_id', 'question_tags.value']);
        $sections = [];
        foreach ($rows as $row) {
            $sections[(int) $row->question_id][] = (string) $row->value;
        }

        return $sections;
    }
}
