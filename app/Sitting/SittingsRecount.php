<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Database\Recounts;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Sitting\State;

/** Holds what is kept beside the events of a sitting, to be fast, against the events themselves. */
final readonly class SittingsRecount implements Recounts
{
    public function what(): string
    {
        return 'Folds';
    }

    /**
     * @param  string|null  $email  of the only candidate to look at; null: all
     * @return iterable<string|null> for each sitting, how it differs; null: it does not
     */
    public function differences(?string $email): iterable
    {
        $begun = Sitting::query()
            ->where('status', '!=', Stage::NotStarted)
            ->when($email !== null, fn ($query) => $query->whereRelation('user', 'email', $email));
        foreach ($begun->lazyById(200) as $sitting) {
            $differs = [...$this->countsThatDiffer($sitting), ...$this->foldFaults($sitting)];
            yield $differs === [] ? null : "Sitting {$sitting->id}: ".implode(', ', $differs).'.';
        }
    }

    /** What the events of a sitting come to, without any short cut. */
    public static function state(Sitting $sitting, int $now): State
    {
        return (new SittingEvents($sitting))->whole($sitting->terms())->at($now);
    }

    /** @return list<string> */
    private function countsThatDiffer(Sitting $sitting): array
    {
        $counted = (array) DB::table('sitting_events')
            ->where('sitting_id', $sitting->id)
            ->selectRaw('count(*) as events, coalesce(max(seq), 0) as last_seq')
            ->selectRaw('coalesce(sum(length(cast(value as blob))), 0) as bytes')
            ->first();
        $asked = DB::table('test_items')->where('test_id', $sitting->test_id)->count();
        $differs = $asked === $sitting->questions
            ? []
            : ["questions is stored as {$sitting->questions} and comes to {$asked}"];
        // By this the gate before the keys knows what runs; of what is handed in nobody asks.
        if ($sitting->status === Stage::Open && $sitting->clocked !== $sitting->terms()->hasClock()) {
            $differs[] = 'whether a clock runs is not what its terms say';
        }
        foreach ($counted as $column => $n) {
            $kept = $sitting->getAttribute((string) $column);
            if ($kept !== (int) $n) {
                $differs[] = "{$column} is stored as {$kept} and comes to {$n}";
            }
        }

        return $differs;
    }

    /** @return list<string> */
    private function foldFaults(Sitting $sitting): array
    {
        $now = (int) $sitting->contact_ms;
        $kept = (new SittingEvents($sitting))->folding($sitting->terms())->at($now);

        $whole = self::state($sitting, $now);
        // Compared by value: both are made of readonly values and enums.
        $differs = $kept == $whole ? [] : ['its snapshot is not what its events come to'];
        // By this a sitting counts for its candidate alone.
        if ($sitting->isHandedIn() && $sitting->waited !== $whole->waited) {
            $differs[] = 'whether it waited for its device is not what its events say';
        }

        return $differs;
    }
}
