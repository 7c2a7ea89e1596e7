<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Says;
use App\Http\Form;

/** The whole, or one section of it alone. */
#[Says('section', 'Its code; null: all.')]
final class OneSectionRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['section' => ['present', 'nullable', 'string', 'max:100']];
    }

    /** @return string|null its code; null: all */
    public function section(): ?string
    {
        $section = $this->string('section')->value();

        return $section === '' ? null : $section;
    }
}
