<?php

declare(strict_types=1);

namespace App\Plan;

use App\Http\Contract\Says;
use App\Http\Form;

/** The hours that a candidate has. */
#[Says('weekdaysOff', '1 is Monday; at most six of them.')]
#[Says('datesOff', 'At most 366.')]
final class PlanRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'hoursWeek' => ['required', 'numeric:strict', 'between:0.5,80'],
            'weekdaysOff' => ['present', 'array', 'list', 'max:6'],
            'weekdaysOff.*' => ['required', 'integer:strict', 'between:1,7', 'distinct'],
            'datesOff' => ['present', 'array', 'list', 'max:366'],
            'datesOff.*' => [
                'required', 'string', 'date_format:Y-m-d', 'distinct', 'after:-1 year', 'before:+10 years',
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'hoursWeek.*' => 'Say how many hours a week you have, between half an hour and 80.',
            'weekdaysOff.max' => 'Leave at least one day of the week for studying.',
            'weekdaysOff.*' => 'Days of the week are numbered 1 to 7, each once.',
            'weekdaysOff.*.*' => 'Days of the week are numbered 1 to 7, each once.',
            'datesOff.max' => 'No more than 366 days off can be kept.',
            'datesOff.*' => 'Give days off as dates, each once.',
            'datesOff.*.*' => 'Give days off as dates, each once.',
        ];
    }
}
