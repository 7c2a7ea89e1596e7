<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;
use Illuminate\Validation\Rule;
use Uplandia\Core\Result\Cause;

/** Why an answer went wrong; null takes the word back. */
final class CauseRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['cause' => ['present', 'nullable', 'string', Rule::enum(Cause::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['cause' => 'Choose one of the causes.'];
    }

    public function cause(): ?Cause
    {
        return $this->enum('cause', Cause::class);
    }
}
