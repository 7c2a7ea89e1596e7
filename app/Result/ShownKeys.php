<?php

declare(strict_types=1);

namespace App\Result;

use App\Assembly\TestItems;
use App\Sitting\Exposure;
use App\Sitting\Exposures;
use App\Sitting\KeyGate;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Sitting\State;

/** Of which questions of a sitting its candidate is shown the key, and what follows from being shown one more. */
final readonly class ShownKeys
{
    public function __construct(
        private Exposures $exposures,
        private KeyGate $gate,
        private TestItems $items,
        private KeepsStandings $standings,
    ) {
    }

    /** @return list<int> positions: those that were on screen, and those whose key the candidate asked to see */
    public function shown(Sitting $sitting, State $state): array
    {
        $questions = $this->items->questions($sitting->test_id);
        $exposed = $this->exposures->of($sitting->user_id, array_values($questions));
        $covered = $this->gate->covered($sitting->user_id, $sitting);

        return array_values(array_filter(
            array_keys($questions),
            fn (int $at): bool => ! isset($covered[$questions[$at]]) &&
                ($state->questions[$at]->seen || isset($exposed[$questions[$at]])),
        ));
    }

    /**
     * Keeps that somebody is shown keys from now on. A question that was new is new no more.
     *
     * @param  list<int>|null  $positions  null: all of the sitting
     */
    public function expose(Sitting $sitting, ?array $positions): void
    {
        $asked = $this->items->questions($sitting->test_id);
        $asked = $positions === null ? $asked : array_intersect_key($asked, array_flip($positions));
        $covered = $this->gate->covered($sitting->user_id, $sitting);
        $asked = array_filter($asked, fn (int $question): bool => ! isset($covered[$question]));
        DB::transaction(function () use ($sitting, $asked): void {
            $this->exposures->keep($sitting, array_values($asked), Exposure::Shown);
            $this->standings->renew($sitting->user_id, $sitting->exam_id, array_values($asked));
        });
    }

    /**
     * Keeps that the keys of a sitting are on a device from now on.
     *
     * @return list<int> positions of those that may be: what a clock still runs over stays here
     */
    public function takeAlong(Sitting $sitting): array
    {
        $covered = $this->gate->covered($sitting->user_id, $sitting);
        $asked = array_filter(
            $this->items->questions($sitting->test_id),
            fn (int $question): bool => ! isset($covered[$question]),
        );
        $this->exposures->keep($sitting, array_values($asked), Exposure::TakenAlong);

        return array_keys($asked);
    }
}
