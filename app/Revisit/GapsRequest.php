<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rule;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Revisit\GapState;

/** Which gaps to list, or to drill. */
#[Says('topic', 'Code of one at the top.')]
#[Says('cause', 'A cause, or "none".')]
#[Says('section', 'Code of a section.')]
#[Says('state', 'Null: those that have not closed.')]
#[Says('page', 'From 1.')]
final class GapsRequest extends Form
{
    public const NO_CAUSE = 'none';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $causes = [...array_column(Cause::cases(), 'value'), self::NO_CAUSE];

        return [
            'topic' => ['nullable', 'string', 'max:100'],
            'cause' => ['nullable', 'string', Rule::in($causes)],
            'section' => ['nullable', 'string', 'max:100'],
            'state' => ['nullable', 'string', Rule::enum(GapState::class)],
            'page' => ['required', 'integer', 'min:1', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'cause.*' => 'There is no such cause.',
            'state.*' => 'A gap is open, closing or closed.',
            'page.*' => 'There is no such page.',
        ];
    }

    public function wanted(): GapsWanted
    {
        $text = fn (string $name): ?string => $this->input($name) === null ? null : $this->string($name)->value();

        return new GapsWanted(
            topic: $text('topic'),
            cause: $text('cause'),
            section: $text('section'),
            state: $this->enum('state', GapState::class),
        );
    }
}
