<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\FormRequest;

/** The body of a request. A field that is not even of its type is not looked at any further. */
abstract class Form extends FormRequest
{
    /** @return array<string, list<mixed>> */
    protected function validationRules(): array
    {
        return array_map(static fn (array $rules): array => ['bail', ...$rules], $this->rules());
    }

    /** @return array<string, list<mixed>> */
    abstract public function rules(): array;
}
