<?php

declare(strict_types=1);

namespace App\Result;

use App\Assembly\TestItem;
use App\Assembly\TestItems;
use App\Database\Recounts;
use App\Sitting\Exposures;
use App\Sitting\Sitting;
use App\Sitting\SittingsRecount;
use App\Sitting\Stage;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\State;

/** Folds and marks every sitting anew and holds it against what is stored. */
final class OutcomesRecount implements Recounts
{
    /** @var array<string, array<int, TestItem>> the last test's items: a paper is sat by many */
    private array $kept = [];

    public function __construct(
        private readonly Settlement $settlement,
        private readonly TestItems $items,
        private readonly Exposures $exposures,
    ) {
    }

    public function what(): string
    {
        return 'Sittings';
    }

    /**
     * @param  string|null  $email  of the only candidate to look at; null: all
     * @return iterable<string|null> for each sitting, how it differs; null: it does not
     */
    public function differences(?string $email): iterable
    {
        $sittings = Sitting::query()
            ->with('test.exam', 'user')
            ->where('status', '!=', Stage::NotStarted)
            ->when(
                $email !== null,
                fn ($query) => $query->whereHas('user', fn ($user) => $user->where('email', $email)),
            )
            ->orderBy('test_id')
            ->orderBy('id');
        foreach ($sittings->lazy(200) as $sitting) {
            yield $this->difference($sitting);
        }
    }

    private function difference(Sitting $sitting): ?string
    {
        $state = SittingsRecount::state(
            $sitting,
            $sitting->isHandedIn() ? (int) $sitting->ended_ms : (int) $sitting->contact_ms,
        );
        $items = $this->itemsOf($sitting->test_id);
        $stored = DB::table('outcomes')
            ->where('sitting_id', $sitting->id)
            ->orderBy('position')
            ->get()
            ->keyBy('position');
        $settled = array_filter(
            $items,
            fn (TestItem $item): bool => $sitting->isHandedIn() || $state->questions[$item->position]->isChecked(),
        );
        if (array_keys($settled) !== $stored->keys()->all()) {
            return "Sitting {$sitting->id}: its outcomes are not those of its events.";
        }
        $totals = $sitting->isHandedIn() ? $this->totalsThatDiffer($sitting, $state, $items) : [];
        if ($sitting->isHandedIn() && $sitting->in_cohort && ! $this->settlement->mayCount($sitting, $state, $items)) {
            $totals[] = 'it counts for others and should not';
        }
        if ($totals !== []) {
            return "Sitting {$sitting->id}: ".implode(', ', $totals).'.';
        }
        $facts = $stored
            ->map(
                fn (object $row): array => [
                    'cohort_ms' => $row->cohort_ms === null ? null : (int) $row->cohort_ms,
                    'day' => (int) $row->day,
                ],
            )
            ->all();
        foreach (
            $this->settlement->project(sitting: $sitting, state: $state, items: $settled, facts: $facts) as $row
        ) {
            $row['first_look'] = $this->isFirstLook($row);
            $before = (array) $stored[$row['position']];
            $row = $sitting->isHandedIn() ? $row : self::asItWasChecked($row, $before);
            $differs = self::columnsThatDiffer($row, $before);
            if ($differs !== []) {
                return "Sitting {$sitting->id}, question {$row['position']}: ".implode(', ', $differs).'.';
            }
        }

        return null;
    }

    /**
     * Until a sitting is handed in, an outcome stands as it was when its question was checked. Reading the reasons
     * takes time, and one may flag it, so these two go on: time only grows, and both are written anew at hand-in.
     *
     * @param  array<string, mixed>  $row  as its events say now
     * @param  array<string, mixed>  $stored
     * @return array<string, mixed>
     */
    private static function asItWasChecked(array $row, array $stored): array
    {
        return [
            'flagged' => (bool) $stored['flagged'],
            'active_ms' => min((int) $stored['active_ms'], $row['active_ms']),
        ] + $row;
    }

    /**
     * @param  array<int, TestItem>  $items
     * @return list<string>
     */
    private function totalsThatDiffer(Sitting $sitting, State $state, array $items): array
    {
        $closing = Settlement::closing($sitting, $this->settlement->marked($items, $state), $state);
        $stored = [];
        foreach (array_keys($closing) as $column) {
            $stored[$column] = $sitting->getAttribute($column);
        }

        return self::columnsThatDiffer($closing, $stored);
    }

    /** @param  array<string, mixed>  $row */
    private function isFirstLook(array $row): bool
    {
        if ($row['outcome'] === Outcome::NotReached->value) {
            return false;
        }

        $question = (int) $row['question_id'];
        $exposed = $this->exposures->of((int) $row['user_id'], [$question])[$question] ?? [];
        if (Exposures::precede($exposed, $row['sitting_id'], $row['answered_ms'] ?? $row['settled_ms'])) {
            return false;
        }

        return ! DB::table('outcomes')
            ->where('user_id', $row['user_id'])
            ->where('question_id', $row['question_id'])
            ->where('outcome', '!=', Outcome::NotReached->value)
            ->where(
                fn ($earlier) => $earlier
                    ->where('settled_ms', '<', $row['settled_ms'])
                    ->orWhere(
                        fn ($same) => $same
                            ->where('settled_ms', $row['settled_ms'])
                            ->where('sitting_id', '<', $row['sitting_id']),
                    ),
            )
            ->exists();
    }

    /**
     * @param  array<string, mixed>  $row  as it comes out now
     * @param  array<string, mixed>  $stored
     * @return list<string> with both values
     */
    public static function columnsThatDiffer(array $row, array $stored): array
    {
        $differs = [];
        foreach ($row as $column => $value) {
            $before = $stored[$column] ?? null;
            $value = is_bool($value) && ! is_bool($before) ? (int) $value : $value;
            $same =
                is_float($value) || is_float($before)
                    ? $value !== null && $before !== null && abs((float) $value - (float) $before) < 1e-9
                    : $value === $before || (is_int($value) && is_numeric($before) && (int) $before === $value);
            if (! $same) {
                $differs[] = "{$column} is stored as ".json_encode($before).' and comes to '.json_encode($value);
            }
        }

        return $differs;
    }

    /** @return array<int, TestItem> */
    private function itemsOf(string $test): array
    {
        if (! isset($this->kept[$test])) {
            $this->kept = [$test => $this->items->of($test)];
        }

        return $this->kept[$test];
    }
}
