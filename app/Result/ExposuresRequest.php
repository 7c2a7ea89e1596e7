<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Contract\Says;
use App\Http\Form;

#[Says('positions', 'Questions whose key is to be shown; null: all of the sitting.')]
final class ExposuresRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'positions' => ['present', 'nullable', 'array', 'list', 'max:500'],
            'positions.*' => ['required', 'integer:strict', 'between:0,1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*' => 'Say which questions, by their places.'];
    }

    /** @return list<int>|null */
    public function positions(): ?array
    {
        return $this->input('positions') === null
            ? null
            : array_values(array_filter($this->array('positions'), is_int(...)));
    }
}
