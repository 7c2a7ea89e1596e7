<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\RecipeRequest;
use App\Http\Contract\Like;

/** The choices a test was made of, to be changed in the builder. */
final readonly class ChoicesView
{
    public function __construct(public string $exam, #[Like(RecipeRequest::class)] public object $choices)
    {
    }
}
