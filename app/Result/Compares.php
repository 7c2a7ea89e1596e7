<?php

declare(strict_types=1);

namespace App\Result;

use App\Sitting\Sitting;

/** Says where a sitting stands among others. The room above knows the cohort. */
interface Compares
{
    public function of(Sitting $sitting): PlaceView;
}
