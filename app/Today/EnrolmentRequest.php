<?php

declare(strict_types=1);

namespace App\Today;

use App\Http\Contract\Says;
use App\Http\Form;

/** When the exam is, and in which time zone the candidate's days begin. */
#[Says('timeZone', 'Such as Europe/Oslo.')]
final class EnrolmentRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'examDate' => ['present', 'nullable', 'string', 'date_format:Y-m-d', 'after:-1 year', 'before:+10 years'],
            'timeZone' => ['required', 'string', 'timezone:all'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'examDate.*' => 'Give the day of the exam as a date, no more than ten years from now.',
            'timeZone.*' => 'There is no such time zone.',
        ];
    }
}
