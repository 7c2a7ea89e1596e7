<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Says;
use App\Http\Form;
use App\Question\ReportAbout;
use Illuminate\Validation\Rule;

#[Says('body', 'In the candidate\'s words.')]
final class WordRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'about' => ['required', 'string', Rule::enum(ReportAbout::class)],
            'body' => ['required', 'string', 'max:2000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'about.*' => 'Say what it is about.',
            'body.required' => 'Write a few words, so that the authors can find what you mean.',
            'body.max' => 'The authors can be told up to 2,000 letters at a time.',
            'body.*' => 'Write it as text.',
        ];
    }
}
