<?php

declare(strict_types=1);

namespace App\Handbook;

use App\Http\Contract\Says;
use App\Http\Form;

/** What to find in a handbook. */
#[Says('words', 'Words, "phrases", start*, -without.')]
final class HandbookSearchRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['words' => ['required', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['words.max' => 'A search can have up to 200 letters.', 'words.*' => 'Say what to look for.'];
    }
}
