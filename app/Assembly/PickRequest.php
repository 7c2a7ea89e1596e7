<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rule;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\Recipe;

/** A page of the questions that the filters of a recipe leave. */
#[Says('page', 'From 1.')]
#[Says('down', 'The last first.')]
#[Says('choices', type: RecipeRequest::class)]
final class PickRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'choices' => ['required', 'array'],
            'page' => ['integer', 'min:1', 'max:10000'],
            'order' => [Rule::enum(PickOrder::class)],
            'down' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['page.max' => 'There are not so many pages.'];
    }

    /** @throws InvalidRecipe with what to mend */
    public function recipe(): Recipe
    {
        // How many and how they are sat has no say in what there is to pick from.
        $choices = array_diff_key((array) $this->input('choices'), ['spread' => 0, 'byTopic' => 0, 'minutes' => 0]);

        return Recipe::of(
            ['count' => 1, 'mode' => 'untimed'] + array_filter($choices, fn (mixed $value): bool => $value !== null),
        );
    }

    public function order(): PickOrder
    {
        return $this->enum('order', PickOrder::class) ?? PickOrder::Topic;
    }
}
