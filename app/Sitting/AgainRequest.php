<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;
use Illuminate\Validation\Rule;

/** How something is sat once more. */
final class AgainRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['how' => ['required', 'string', Rule::enum(HowAgain::class)]];
    }

    public function how(): HowAgain
    {
        return HowAgain::from($this->string('how')->value());
    }
}
