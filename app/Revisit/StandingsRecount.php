<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Database\Recounts;
use App\Result\OutcomesRecount;
use App\Sitting\KeyGate;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Makes every standing anew from the outcomes and holds it against what is stored. */
final readonly class StandingsRecount implements Recounts
{
    private const AT_ONCE = 500;

    public function __construct(private Standings $standings, private KeyGate $gate)
    {
    }

    public function what(): string
    {
        return 'Standings';
    }

    /**
     * @param  string|null  $email  of the only candidate to look at; null: all
     * @return iterable<string|null> for each standing, how it differs; null: it does not
     */
    public function differences(?string $email): iterable
    {
        $pairs = DB::table('outcomes')
            ->select(['user_id', 'exam_id'])
            ->union(DB::table('standings')->select(['user_id', 'exam_id']));
        $people = DB::query()
            ->fromSub($pairs, 'met')
            ->join('users', 'users.id', '=', 'met.user_id')
            ->when($email !== null, fn ($query) => $query->where('users.email', $email))
            ->orderBy('met.user_id')
            ->get(['met.user_id', 'exam_id']);
        foreach ($people as $person) {
            yield from $this->candidate((int) $person->user_id, (int) $person->exam_id);
        }
    }

    /** @return iterable<string|null> */
    private function candidate(int $user, int $exam): iterable
    {
        $stored = DB::table('standings')
            ->where('user_id', $user)
            ->where('exam_id', $exam)
            ->get()
            ->keyBy('question_id');
        $met = fn (string $table): Collection => DB::table($table)
            ->where('user_id', $user)
            ->where('exam_id', $exam)
            ->distinct()
            ->pluck('question_id');
        $questions = $stored
            ->keys()
            ->merge($met('outcomes'))
            ->merge($met('exposures'))
            // What a running test asks stands as it was until that is over.
            ->diff(array_keys($this->gate->covered($user)))
            ->unique()
            ->map(fn (mixed $id): int => is_numeric($id) ? (int) $id : 0);
        foreach ($questions->chunk(self::AT_ONCE) as $chunk) {
            $rows = $this->standings->project($user, $exam, array_values($chunk->all()));
            foreach ($chunk as $question) {
                $before = $stored[$question] ?? null;
                $differs = match (true) {
                    isset($rows[$question]) => OutcomesRecount::columnsThatDiffer($rows[$question], (array) $before),
                    default => $before?->outcome === null ? [] : ['it was never met'],
                };
                yield $differs === []
                    ? null
                    : "Candidate {$user}, question {$question}: ".implode(', ', $differs).'.';
            }
        }
    }
}
