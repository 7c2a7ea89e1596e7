<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Form;
use Closure;
use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Spread;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;

#[
    OA\Schema(
        schema: 'Recipe',
        required: ['pools', 'count', 'mode'],
        properties: [
            new OA\Property(
                property: 'topics',
                type: 'array',
                nullable: true,
                items: new OA\Items(type: 'string'),
                description: 'Codes of topics or subtopics; null: all.',
            ),
            new OA\Property(
                property: 'pools',
                type: 'array',
                items: new OA\Items(type: 'string', enum: Pool::class),
                description: 'None means all questions.',
            ),
            new OA\Property(
                property: 'difficulties',
                type: 'array',
                items: new OA\Items(type: 'string', enum: Difficulty::class),
            ),
            new OA\Property(property: 'kinds', type: 'array', items: new OA\Items(type: 'string', enum: Kind::class)),
            new OA\Property(
                property: 'tags',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')),
                description: 'Values by family.',
            ),
            new OA\Property(
                property: 'words',
                type: 'string',
                description: 'To be found: words, "phrases", start*, -without.',
            ),
            new OA\Property(
                property: 'name',
                type: 'string',
                nullable: true,
                description: 'Of the test or the recipe; null: one made of the choices.',
            ),
            new OA\Property(property: 'count', type: 'integer'),
            new OA\Property(property: 'mode', type: 'string', enum: Mode::class),
            new OA\Property(property: 'spread', type: 'string', enum: Spread::class),
            new OA\Property(
                property: 'only',
                type: 'array',
                items: new OA\Items(type: 'integer'),
                description: 'Questions picked by hand; none: all.',
            ),
            new OA\Property(property: 'minutes', type: 'integer', nullable: true),
            new OA\Property(property: 'plain', type: 'boolean', description: 'Every question is worth one mark.'),
            new OA\Property(
                property: 'penalty',
                type: 'string',
                description: 'Share of its marks that a wrong answer costs, exact, or "exam".',
            ),
            new OA\Property(
                property: 'shuffled',
                type: 'boolean',
                description: 'Options in an order of each sitting\'s own.',
            ),
            new OA\Property(
                property: 'secondsEach',
                type: 'integer',
                nullable: true,
                description: 'For each question of a timed test, instead of minutes for the whole.',
            ),
            new OA\Property(
                property: 'runningScore',
                type: 'boolean',
                description: 'In tutor mode, show the score so far.',
            ),
            new OA\Property(property: 'asksSureness', type: 'boolean'),
            new OA\Property(
                property: 'byTopic',
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'integer'),
                description: 'How many of each topic, by code, where they are spread by hand.',
            ),
        ],
    ),
]
final class RecipeRequest extends Form
{
    private const NAMES = [
        'topics', 'pools', 'difficulties', 'kinds', 'tags', 'words', 'mode', 'spread', 'byTopic', 'plain', 'penalty',
        'shuffled', 'only', 'runningScore', 'asksSureness',
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'topics' => [$this->strings('Choose at least one topic.', fewest: 1)],
            'pools' => [$this->strings('There is no such pool of questions. Reload the page to see those there are.')],
            'difficulties' => [$this->strings('A question is easy, moderate or hard.')],
            'kinds' => [$this->strings('There is no such kind of question.')],
            'count' => ['required_without:byTopic', 'nullable', 'integer', 'min:1', 'max:500'],
            'minutes' => ['nullable', 'integer', 'min:1', 'max:600'],
            'secondsEach' => ['nullable', 'integer', 'min:5', 'max:3600'],
            'name' => ['nullable', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'count.required_without' => 'Say how many questions you want, from 1 to 500.',
            'count.integer' => 'Say how many questions you want as a whole number, from 1 to 500.',
            'count.min' => 'A test needs at least 1 question. Choose a number from 1 to 500.',
            'count.max' => 'A test can have up to 500 questions. Choose a smaller number.',
            'name.max' => 'A name can have up to 120 letters.',
            'minutes.min' => 'A time limit needs at least 1 minute.',
            'minutes.max' => 'A time limit can be up to 600 minutes.',
            'minutes.integer' => 'Give the time limit in whole minutes.',
            'secondsEach.min' => 'A question needs at least 5 seconds.',
            'secondsEach.max' => 'A question can have up to 3,600 seconds.',
            'secondsEach.integer' => 'Give the time for each question in whole seconds.',
        ];
    }

    /** @return string|null null: one is to be made of the choices */
    public function name(): ?string
    {
        $name = trim($this->string('name')->value());

        return $name === '' ? null : $name;
    }

    /** @throws InvalidRecipe with what to mend */
    public function recipe(): Recipe
    {
        $whole = fn (string $name): ?int => $this->input($name) === null ? null : $this->integer($name);

        return Recipe::of(
            [
                'count' => $whole('count'),
                'minutes' => $whole('minutes'),
                'secondsEach' => $whole('secondsEach'),
            ] +
                array_filter(
                    $this->only(self::NAMES),
                    fn (mixed $value): bool => $value !== null,
                ) + ['mode' => ''],
        );
    }

    /** One rule for a whole list: a rule for each of its parts would cost a millisecond for every ten. */
    private function strings(string $otherwise, int $fewest = 0): Closure
    {
        return function (string $field, mixed $value, Closure $fail) use ($otherwise, $fewest): void {
            $sound =
                is_array($value) &&
                array_is_list($value) &&
                count($value) >= $fewest &&
                array_filter($value, is_string(...)) === $value;
            if ($value !== null && ! $sound) {
                $fail($otherwise);
            }
        };
    }
}
