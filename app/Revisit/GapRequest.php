<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Says;
use App\Http\Form;

/** Whether a question belongs into the gap book, as its candidate says. */
#[Says('inBook', 'Put in, else taken out.')]
final class GapRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['inBook' => ['required', 'boolean']];
    }
}
