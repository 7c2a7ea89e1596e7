<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;

/** What a sitting is to be called. */
final class NameRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:120']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'A test needs a name.', 'name.max' => 'A name can have up to 120 letters.'];
    }
}
