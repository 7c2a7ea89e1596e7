<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Says;
use App\Http\Form;
use Uplandia\Core\Revisit\Grade;

/** How well a card came back. */
#[Says('id', 'Made by the browser; sending it again does no harm.')]
#[Says('grade', '1 gone, 2 with effort, 3 known, 4 known at once.')]
final class LookRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'id' => ['required', 'string', 'max:64', 'regex:/^[A-Za-z0-9-]+$/D'],
            'grade' => ['required', 'integer', 'between:1,4'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'id.*' => 'This page sent a look that the server does not understand. Reload the page and try again.',
            'grade.*' => 'Say how well it came back: gone, with effort, known, or at once.',
        ];
    }

    public function grade(): Grade
    {
        return Grade::from($this->integer('grade'));
    }
}
