<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rule;
use Uplandia\Core\Assembly\Mode;

/** Which of one's tests to list. */
#[Says('search', 'Part of the name, or of the note on it.')]
#[Says('noted', 'Only those with a note of their own.')]
#[Says('everywhere', 'Of all exams, not only of this.')]
#[Says('page', 'From 1.')]
final class TestsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'search' => ['nullable', 'string', 'max:200'],
            'mode' => ['nullable', 'string', Rule::enum(Mode::class)],
            'state' => ['nullable', 'string', Rule::enum(Stage::class)],
            'order' => ['string', Rule::enum(TestsOrder::class)],
            'down' => ['boolean'],
            'everywhere' => ['boolean'],
            'noted' => ['boolean'],
            'page' => ['required', 'integer', 'min:1', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['search.max' => 'A search can have up to 200 letters.', 'page.max' => 'There are not so many pages.'];
    }
}
