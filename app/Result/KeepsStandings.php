<?php

declare(strict_types=1);

namespace App\Result;

/** What follows for a candidate's standings once outcomes have changed. The room above has it done. */
interface KeepsStandings
{
    /** @param  list<int>  $questions  ids */
    public function renew(int $user, int $exam, array $questions): void;
}
