<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;

/** Whether a sitting may be compared. */
final class AgreementRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['agrees' => ['required', 'boolean']];
    }
}
