<?php

declare(strict_types=1);

namespace App\Sitting;

use Uplandia\Core\Sitting\State;

/** What happens to answers once they may be marked. The room above has it done; a sitting only says when. */
interface Settles
{
    /**
     * Marks some questions as they stand and records what came of them.
     *
     * @param  list<int>  $positions
     */
    public function settle(Sitting $sitting, State $state, array $positions): void;

    /** Marks every question, totals them, and closes the sitting. */
    public function finish(Sitting $sitting, State $state): void;

    /** @return array<int, string> outcomes known so far, by position */
    public function outcomes(Sitting $sitting): array;

    /** Takes what came of a sitting out of every figure, to be brought back as it was. */
    public function setAside(Sitting $sitting): void;

    public function bringBack(Sitting $sitting): void;

    /** It asks its questions no more: what it held back of them is told now. */
    public function release(Sitting $sitting): void;

    /** Marks so far of what has been checked; null: this sitting does not show them. */
    public function score(Sitting $sitting): ?ScoreView;
}
