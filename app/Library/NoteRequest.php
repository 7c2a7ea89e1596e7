<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Says;
use App\Http\Form;

#[Says('note', 'Empty: there is to be none.')]
final class NoteRequest extends Form
{
    public const LONGEST = 2000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['note' => ['present', 'nullable', 'string', 'max:'.self::LONGEST]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['note.max' => 'A note can have up to 2,000 letters.'];
    }
}
