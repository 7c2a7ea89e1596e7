<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Form;
use OpenApi\Attributes as OA;
use Uplandia\Core\Progress\Adaptive;

#[
    OA\Schema(
        schema: 'NewAdaptive',
        required: ['most', 'timed'],
        properties: [
            new OA\Property(
                property: 'most',
                type: 'integer',
                minimum: Adaptive::LEAST,
                maximum: AdaptiveTests::MOST,
                description: 'Questions.',
            ),
            new OA\Property(
                property: 'timed',
                type: 'boolean',
                description: 'Whether it has the time that the exam would give so many.',
            ),
        ],
    ),
]
final class AdaptiveRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'most' => ['required', 'integer', 'min:'.Adaptive::LEAST, 'max:'.AdaptiveTests::MOST],
            'timed' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $between = 'An adaptive test asks at least '.Adaptive::LEAST.' and at most '.AdaptiveTests::MOST.' questions.';

        return ['most.min' => $between, 'most.max' => $between];
    }
}
