<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\Candidacy;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Seed;

/** Makes tests whose next question goes by the answers so far. The room above knows how. */
interface Adapts
{
    /**
     * A test of which only the first question is known.
     *
     * @throws Refusal when its choices leave nothing to ask
     */
    public function build(Candidacy $candidacy, Recipe $recipe, string $title, Seed $seed): Test;
}
