<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rule;

#[Says('highlights', 'All that the question is to have from now on.', 'list<'.HighlightView::class.'>')]
final class HighlightsRequest extends Form
{
    private const MOST = 200;

    private const LONGEST = 2000;

    private const MOST_LETTERS = 200_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $letter = ['required', 'integer', 'min:0', 'max:'.self::MOST_LETTERS];

        return [
            'highlights' => ['present', 'array', 'list', 'max:'.self::MOST],
            'highlights.*' => ['required', 'array:part,from,to,kind,quote,note'],
            'highlights.*.part' => ['required', 'string', 'max:80', 'regex:/^[a-z]+(:[A-Za-z0-9_.-]+)?$/D'],
            'highlights.*.from' => $letter,
            'highlights.*.to' => [...$letter, 'gt:highlights.*.from'],
            'highlights.*.kind' => ['required', 'string', Rule::enum(HighlightKind::class)],
            'highlights.*.quote' => ['required', 'string', 'max:'.self::LONGEST],
            'highlights.*.note' => ['nullable', 'string', 'max:'.NoteRequest::LONGEST],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'highlights.max' => 'A question can have up to '.self::MOST.' highlights.',
            'highlights.*.quote.max' => 'A highlight can have up to 2,000 letters. Mark it in pieces.',
            'highlights.*.note.max' => 'A note can have up to 2,000 letters.',
            '*' => 'This page sent a highlight that the server does not understand. Reload the page and try again.',
        ];
    }

    /** @return list<HighlightView> */
    public function highlights(): array
    {
        $highlights = [];
        foreach ((array) $this->validated('highlights') as $one) {
            assert(is_array($one));
            $highlights[] = new HighlightView(
                part: (string) $one['part'],
                from: (int) $one['from'],
                to: (int) $one['to'],
                kind: HighlightKind::from((string) $one['kind']),
                quote: (string) $one['quote'],
                note: trim((string) ($one['note'] ?? '')),
            );
        }

        return $highlights;
    }
}
