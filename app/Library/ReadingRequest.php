<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Says;
use App\Http\Form;

/** How far a page was read. */
#[Says('step', 'Of a lesson.')]
#[Says('finished', 'To its end; it stays so.')]
#[Says('reader', 'Of the page in a browser that tells it, by a name of its own.')]
#[Says('turn', 'How many this reader has told before. The later wins, whichever arrives first.')]
final class ReadingRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'step' => ['required', 'integer', 'between:0,99'],
            'finished' => ['required', 'boolean'],
            'reader' => ['required', 'string', 'max:64'],
            'turn' => ['required', 'integer', 'between:0,1000000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => 'This page sent a place that the server does not understand. Reload the page and try again.'];
    }
}
