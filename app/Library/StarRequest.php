<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Form;

final class StarRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['on' => ['required', 'boolean']];
    }
}
