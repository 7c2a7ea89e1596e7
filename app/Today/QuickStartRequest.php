<?php

declare(strict_types=1);

namespace App\Today;

use App\Http\Form;
use Illuminate\Validation\Rule;

/** Something to begin without choosing anything. */
final class QuickStartRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['start' => ['required', 'string', Rule::enum(QuickStart::class)]];
    }
}
