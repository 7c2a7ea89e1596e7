<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Says;
use App\Http\Form;
use Closure;

#[Says('strokes', type: 'list<string>')]
final class ScratchRequest extends Form
{
    private const MOST_BYTES = 300_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'words' => ['present', 'nullable', 'string', 'max:20000'],
            // One rule for all of them: there may be thousands.
            'strokes' => ['present', 'array', 'list', $this->areStrokes(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'words.max' => 'The scratch pad has room for 20,000 letters.',
            '*' => 'This page sent something that the server does not understand. Reload the page and try again.',
        ];
    }

    /** @return list<string> */
    public function strokes(): array
    {
        /** @var list<string> $strokes */
        $strokes = array_values((array) $this->input('strokes'));

        return $strokes;
    }

    private function areStrokes(string $field, mixed $strokes, Closure $fail): void
    {
        $bytes = 0;
        foreach (is_array($strokes) ? $strokes : [] as $stroke) {
            $bytes += is_string($stroke) ? strlen($stroke) : 0;
            if (! is_string($stroke) || preg_match('/^\d{1,4},\d{1,4}( \d{1,4},\d{1,4})*$/D', $stroke) !== 1) {
                $fail('This page sent a drawing that the server does not understand. Reload the page and try again.');

                return;
            }
        }
        if ($bytes > self::MOST_BYTES) {
            $fail('The scratch pad is full. Rub something out, and it is kept again.');
        }
    }
}
