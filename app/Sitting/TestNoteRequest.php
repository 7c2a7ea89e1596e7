<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Says;
use App\Http\Form;

/** What somebody writes of a test as a whole. */
#[Says('title', 'Empty: it has none.')]
#[Says('note', 'Empty: there is to be none.')]
final class TestNoteRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['present', 'nullable', 'string', 'max:120'],
            'note' => ['present', 'nullable', 'string', 'max:5000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.max' => 'The title of a note can have up to 120 letters.',
            'note.max' => 'A note on a test can have up to 5,000 letters.',
        ];
    }
}
