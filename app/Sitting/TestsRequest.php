<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;

/** Which of one's tests to list. */
#[
    OA\Schema(
        schema: 'TestsWanted',
        required: ['page'],
        properties: [
            new OA\Property(property: 'search', type: 'string', nullable: true, description: 'Part of the name.'),
            new OA\Property(property: 'mode', type: 'string', nullable: true, enum: Mode::class),
            new OA\Property(property: 'state', type: 'string', nullable: true, enum: Stage::class),
            new OA\Property(property: 'order', type: 'string', enum: TestsOrder::class),
            new OA\Property(property: 'down', type: 'boolean'),
            new OA\Property(property: 'page', type: 'integer', description: 'From 1.'),
        ],
    ),
]
final class TestsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'search' => ['nullable', 'string', 'max:200'],
            'mode' => ['nullable', 'string', Rule::enum(Mode::class)],
            'state' => ['nullable', 'string', Rule::enum(Stage::class)],
            'order' => ['string', Rule::enum(TestsOrder::class)],
            'down' => ['boolean'],
            'page' => ['required', 'integer', 'min:1', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['search.max' => 'A search can have up to 200 letters.', 'page.max' => 'There are not so many pages.'];
    }
}
