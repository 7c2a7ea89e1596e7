<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Says;
use App\Http\Form;

/** When a question should come back: never, or not before a day; neither takes the word back. */
#[Says('days', 'Not before so many days from today.')]
final class RevisitWordRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'suspended' => ['required', 'boolean'],
            'days' => ['present', 'nullable', 'integer', 'between:1,365'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'suspended.*' => 'Say whether the question shall stay away.',
            'days.*' => 'A question can wait for 1 to 365 days.',
        ];
    }
}
