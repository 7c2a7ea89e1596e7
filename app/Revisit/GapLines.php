<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Question\Candidacy;
use App\Question\OwnStandings;
use Illuminate\Database\Query\JoinClause;
use Uplandia\Core\Assembly\Filter\TagFilter;
use Uplandia\Core\Revisit\GapState;

/** Reads all gaps of a candidate in lines, the newest first: enough to filter and count them. */
final class GapLines
{
    /** @return list<GapLine> */
    public function of(Candidacy $candidacy): array
    {
        $syllabus = $candidacy->syllabus();
        $sections = $this->sections($candidacy);
        $rows = OwnStandings::of($candidacy)
            ->leftJoin(
                'gap_entries',
                fn (JoinClause $join): JoinClause => $join
                    ->on('gap_entries.question_id', '=', 'standings.question_id')
                    ->where('gap_entries.user_id', $candidacy->user->id),
            )
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
    private function sections(Candidacy $candidacy): array
    {
        $rows = OwnStandings::of($candidacy)
            ->join(
                'question_tags',
                fn (JoinClause $join): JoinClause => $join
                    ->on('question_tags.question_id', '=', 'standings.question_id')
                    ->where('question_tags.family', TagFilter::READS),
            )
            ->whereNotNull('standings.gap')
            ->get(['standings.question_id', 'question_tags.value']);
        $sections = [];
        foreach ($rows as $row) {
            $sections[(int) $row->question_id][] = (string) $row->value;
        }

        return $sections;
    }
}
