<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Contract\Says;
use App\Http\Form;
use Uplandia\Core\Progress\Adaptive;

#[Says('most', 'Questions.')]
#[Says('timed', 'Whether it has the time that the exam would give so many.')]
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
