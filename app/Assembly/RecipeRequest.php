<?php

declare(strict_types=1);

namespace App\Assembly;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Uplandia\Core\Sitting\Mode;

#[OA\Schema(schema: 'Recipe', required: ['topics', 'pools', 'count', 'mode'], properties: [
    new OA\Property(property: 'topics', type: 'array', items: new OA\Items(type: 'string'), description: 'Codes of topics or subtopics.'),
    new OA\Property(property: 'pools', type: 'array', items: new OA\Items(type: 'string', enum: ['new', 'got_it', 'partly', 'missed', 'left_blank', 'flagged']), description: 'None means all questions.'),
    new OA\Property(property: 'count', type: 'integer'),
    new OA\Property(property: 'mode', type: 'string', enum: ['tutor', 'timed', 'untimed']),
    new OA\Property(property: 'spread', type: 'string', enum: ['blueprint', 'available', 'even']),
    new OA\Property(property: 'minutes', type: 'integer', nullable: true),
])]
final class RecipeRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'topics' => ['required', 'array', 'min:1', 'max:500'],
            'topics.*' => ['required', 'string', 'max:100', 'distinct'],
            'pools' => ['present', 'array', 'max:10'],
            'pools.*' => [Rule::enum(Pool::class)],
            'count' => ['required', 'integer', 'min:1', 'max:500'],
            'mode' => ['required', Rule::enum(Mode::class)],
            'spread' => [Rule::enum(Spread::class)],
            'minutes' => ['nullable', 'integer', 'min:1', 'max:600'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'topics.required' => 'Choose at least one topic.',
            'topics.array' => 'Choose at least one topic.',
            'count.required' => 'Say how many questions you want, from 1 to 500.',
            'count.integer' => 'Say how many questions you want as a whole number, from 1 to 500.',
            'count.min' => 'A test needs at least 1 question. Choose a number from 1 to 500.',
            'count.max' => 'A test can have up to 500 questions. Choose a smaller number.',
            'mode.required' => 'Choose tutor or timed.',
            'mode.enum' => 'Choose tutor, timed or untimed.',
            'pools.*.enum' => 'There is no such pool of questions. Reload the page to see those there are.',
            'minutes.min' => 'A time limit needs at least 1 minute.',
            'minutes.max' => 'A time limit can be up to 600 minutes.',
            'minutes.integer' => 'Give the time limit in whole minutes.',
        ];
    }

    public function choices(): Choices
    {
        /** @var list<string> $topics */
        $topics = array_values((array) $this->validated('topics'));
        /** @var list<string> $pools */
        $pools = array_values((array) $this->validated('pools'));
        $minutes = $this->validated('minutes');

        return new Choices(
            $topics,
            array_map(Pool::from(...), $pools),
            $this->integer('count'),
            Mode::from($this->string('mode')->value()),
            Spread::from($this->string('spread', 'blueprint')->value()),
            is_numeric($minutes) ? (int) $minutes : null,
        );
    }
}
