<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rule;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filter\TopicFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Pool;

/** Which of the questions one has met to list. */
#[Says('words', 'Of question or note.')]
#[Says('topic', 'Code; null: all.')]
#[Says('everywhere', 'In all exams, this one first; of a topic only in its own.')]
#[Says('page', 'From 1.')]
final class MetRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'words' => ['nullable', 'string', 'max:200'],
            'topic' => ['nullable', 'string', 'max:100'],
            'pool' => ['nullable', 'string', Rule::enum(Pool::class)->except([Pool::NewToMe])],
            'everywhere' => ['boolean'],
            'page' => ['required', 'integer', 'min:1', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'words.max' => 'A search can have up to 200 letters.',
            'pool.*' => 'There is no such pool of questions that you have met.',
            'page.*' => 'There is no such page.',
        ];
    }

    /** Without the words: they are looked for in notes too. */
    public function filters(): Filters
    {
        $topic = $this->input('topic');
        $pool = $this->enum('pool', Pool::class);

        return new Filters(
            ...is_string($topic) ? [new TopicFilter([$topic])] : [],
            ...$pool === null ? [] : [new PoolFilter($pool)],
        );
    }

    public function words(): string
    {
        return $this->input('words') === null ? '' : trim($this->string('words')->value());
    }
}
