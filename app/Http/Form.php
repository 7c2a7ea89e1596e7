<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Foundation\Http\FormRequest;

/** The body of a request. A field that is not even of its type is not looked at any further. */
abstract class Form extends FormRequest
{
    /** In an address yes and no are words. */
    protected function prepareForValidation(): void
    {
        if (! $this->isMethod('GET')) {
            return;
        }
        $asked = array_filter($this->rules(), static fn (array $rules): bool => in_array('boolean', $rules, true));
        foreach (array_intersect_key($this->query->all(), $asked) as $name => $word) {
            $this->query->set($name, match ($word) {
                'true' => true,
                'false' => false,
                default => $word,
            });
        }
    }

    /** @return array<string, list<mixed>> */
    protected function validationRules(): array
    {
        return array_map(static fn (array $rules): array => ['bail', ...$rules], $this->rules());
    }

    /** @return array<string, list<mixed>> */
    abstract public function rules(): array;
}
