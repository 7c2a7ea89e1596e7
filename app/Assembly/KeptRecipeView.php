<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** A recipe that is kept under a name. */
#[OA\Schema(schema: 'KeptRecipe')]
final readonly class KeptRecipeView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property(ref: RecipeRequest::class)] public object $choices,
    ) {
    }

    public static function of(SavedRecipe $recipe): self
    {
        $choices = $recipe->recipe()->toArray();
        unset($choices['version']);
        // What is empty is an object all the same.
        $choices['tags'] = (object) $choices['tags'];

        return new self($recipe->id, (string) $recipe->name, (object) $choices);
    }
}
