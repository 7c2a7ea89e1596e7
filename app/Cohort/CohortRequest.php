<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Http\Form;

/** Whether one takes part in the cohort of an exam. */
final class CohortRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['takesPart' => ['required', 'boolean:strict']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['takesPart.*' => 'Say yes or no to taking part.'];
    }
}
