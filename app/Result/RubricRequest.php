<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Contract\Says;
use App\Http\Form;

#[Says('points', 'Criterion id: points given, such as 1 or 0.5.')]
final class RubricRequest extends Form
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['points' => ['required', 'array', 'max:40'], 'points.*' => ['required', 'string', 'max:12']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'points.required' => 'Give points for at least one of the criteria.',
            'points.*' => 'Points are numbers, such as 1 or 0.5.',
        ];
    }

    /** @return array<string, string> */
    public function points(): array
    {
        /** @var array<string, string> $points */
        $points = $this->validated('points');

        return $points;
    }
}
