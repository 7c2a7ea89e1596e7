<?php

declare(strict_types=1);

namespace App\Library;

use App\Account\User;
use App\Question\Candidacy;
use App\Question\PlainExcerpt;
use App\Question\Syllabus;
use App\Sitting\HandedIn;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Kind;

/** Reads some questions as a candidate has met them: a page of them, never all. */
final class MetQuestions
{
    /**
     * @param  list<int>  $questions
     * @return array<int, MetQuestion> by question
     */
    public function of(Candidacy $candidacy, array $questions): array
    {
        $syllabus = $candidacy->syllabus();
        $where = $this->where($candidacy->user, $questions);
        $rows = DB::table('standings')
            ->join('questions', 'questions.id', '=', 'standings.question_id')
            ->join('question_versions', 'question_versions.id', '=', 'questions.version_id')
            ->leftJoin(
                'notes',
                fn (JoinClause $join): JoinClause => $join
                    ->on('notes.question_id', '=', 'standings.question_id')
                    ->where('notes.user_id', $candidacy->user->id),
            )
            ->where('standings.user_id', $candidacy->user->id)
            ->whereIn('standings.question_id', $questions)
            ->get([
                'standings.*', 'question_versions.shown', 'question_versions.kind', 'notes.body', 'retired_at',
            ]);
        $met = [];
        foreach ($rows as $row) {
            $met[(int) $row->question_id] = self::question($row, $syllabus, $where[(int) $row->question_id] ?? null);
        }

        return $met;
    }

    private static function question(stdClass $row, Syllabus $syllabus, ?stdClass $where): MetQuestion
    {
        $stem = json_decode((string) $row->shown, true)['stem'] ?? '';

        return new MetQuestion(
            excerpt: PlainExcerpt::of(is_string($stem) ? $stem : ''),
            kind: Kind::from((string) $row->kind),
            topic: $syllabus->topOf((int) $row->topic_id)->name,
            subtopic: $syllabus->get((int) $row->topic_id)->name,
            outcome: $row->outcome === null ? null : Outcome::from((string) $row->outcome),
            flagged: (bool) $row->flagged,
            starred: (bool) $row->starred,
            inGapBook: (bool) $row->gap_open,
            misses: (int) $row->misses,
            seen: (int) $row->seen,
            seenAt: (int) $row->seen_ms,
            note: (string) $row->body,
            dueDay: $row->due_day === null ? null : (int) $row->due_day,
            stability: $row->stability === null ? null : (float) $row->stability,
            rememberedDay: $row->remembered_day === null ? null : (int) $row->remembered_day,
            retired: $row->retired_at !== null,
            sitting: $where?->sitting_id,
            position: $where === null ? null : (int) $where->position,
        );
    }

    /**
     * Where each was met last, of sittings that are handed in.
     *
     * @param  list<int>  $questions
     * @return array<int, stdClass> sitting_id and position, by question
     */
    private function where(User $user, array $questions): array
    {
        return HandedIn::only(DB::table('outcomes'))
            ->join('sittings', 'sittings.id', '=', 'outcomes.sitting_id')
            ->where('outcomes.user_id', $user->id)
            ->whereIn('outcomes.question_id', $questions)
            ->where('outcomes.shown', true)
            ->orderBy('outcomes.settled_ms')
            ->get(['outcomes.question_id', 'outcomes.sitting_id', 'outcomes.position'])
            ->keyBy(fn (stdClass $row): int => (int) $row->question_id)
            ->all();
    }
}
