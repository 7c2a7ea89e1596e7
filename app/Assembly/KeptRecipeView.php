<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Contract\Like;

/** A recipe that is kept under a name. */
final readonly class KeptRecipeView
{
    public function __construct(
        public string $id,
        public string $name,
        #[Like(RecipeRequest::class)] public object $choices,
    ) {
    }

    public static function of(SavedRecipe $recipe): self
    {
        return new self($recipe->id, (string) $recipe->name, self::choices($recipe));
    }

    public static function choices(SavedRecipe $recipe): object
    {
        $choices = $recipe->recipe()->toArray();
        unset($choices['version']);
        // What is empty is an object all the same.
        $choices['tags'] = (object) $choices['tags'];

        return (object) $choices;
    }
}
