<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\Way;
use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rule;

/** The whole, or one section of it alone, and how. */
#[Says('section', 'Its code; null: all.')]
#[Says('way', 'Of another than as in the exam nothing is compared.')]
final class OneSectionRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'section' => ['present', 'nullable', 'string', 'max:100'],
            'way' => ['sometimes', 'string', Rule::enum(Way::class)],
        ];
    }

    public function way(): Way
    {
        return $this->enum('way', Way::class) ?? Way::AsExam;
    }

    /** @return string|null its code; null: all */
    public function section(): ?string
    {
        $section = $this->string('section')->value();

        return $section === '' ? null : $section;
    }
}
