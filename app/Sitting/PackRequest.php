<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Says;
use App\Http\Form;

#[Says('tab', 'Holds the pen. Whoever goes on from the pack writes under this name.')]
final class PackRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['tab' => ['required', 'string', 'max:64']];
    }
}
