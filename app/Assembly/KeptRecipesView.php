<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'KeptRecipes')]
final readonly class KeptRecipesView
{
    /** @param  list<KeptRecipeView>  $recipes  by name */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: KeptRecipeView::class))] public array $recipes,
    ) {
    }
}
