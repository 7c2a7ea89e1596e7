<?php

declare(strict_types=1);

namespace App\Result;

use App\Sitting\Sitting;

/** What an adaptive test has found out. The room above has it worked out. */
interface TellsExpected
{
    /** @return ExpectedView|null null: it was no adaptive test */
    public function of(Sitting $sitting): ?ExpectedView;
}
