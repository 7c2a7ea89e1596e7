<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Contract\Says;
use App\Http\Form;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Sitting\Awake;

#[Says('after', 'The position that is left behind.')]
#[Says('awakeSince', 'Since when the page has been awake without a gap. Null: it slept, and asks what time it is.')]
final class NextRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'tab' => ['required', 'string', 'max:64'],
            'after' => ['required', 'integer', 'min:0', 'max:'.Recipe::MOST_ADAPTING],
            'awakeSince' => ['nullable', 'integer', 'min:0', 'max:9007199254740991'],
        ];
    }

    public function awake(): Awake
    {
        return Awake::since($this->filled('awakeSince') ? $this->integer('awakeSince') : null, []);
    }
}
