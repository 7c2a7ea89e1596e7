<?php

declare(strict_types=1);

namespace App\Assembly;

final readonly class KeptRecipesView
{
    /** @param  list<KeptRecipeView>  $recipes  by name */
    public function __construct(
        public array $recipes,
    ) {
    }
}
