<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;

/** How much a candidate means to have left at the end. */
final class ReserveRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['minutes' => ['required', 'integer', 'min:0', 'max:600']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['minutes.*' => 'Say it in whole minutes, from 0 on.'];
    }
}
