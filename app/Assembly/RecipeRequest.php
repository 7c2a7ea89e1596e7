<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Contract\Says;
use App\Http\Form;
use Closure;
use Uplandia\Core\Assembly\Filter\WordFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Spread;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;

#[Says('topics', 'Codes of topics or subtopics; null: all.', 'list<string>|null')]
#[Says('pools', 'None means all questions.', 'list<'.Pool::class.'>', needed: true)]
#[Says('count', type: 'int', needed: true)]
#[Says('tags', 'Values by family.', 'array<string, list<string>>')]
#[Says('words', 'To be found: words, "phrases", start*, -without.', 'string')]
#[Says('name', 'Of the test or the recipe; null: one made of the choices.')]
#[Says('only', 'Questions picked by hand; none: all.', 'list<int>')]
#[Says('plain', 'Every question is worth one mark.', 'bool')]
#[Says('penalty', 'Share of its marks that a wrong answer costs, exact, or "exam".', 'string')]
#[Says('shuffled', 'Options in an order of each sitting\'s own.', 'bool')]
#[Says('secondsEach', 'For each question of a timed test, instead of minutes for the whole.')]
#[Says('runningScore', 'In tutor mode, show the score so far.', 'bool')]
#[Says('byTopic', 'How many of each topic, by code, where they are spread by hand.', 'array<string, int>')]
#[Says('difficulties', type: 'list<'.Difficulty::class.'>')]
#[Says('kinds', type: 'list<'.Kind::class.'>')]
#[Says('mode', type: Mode::class, needed: true)]
#[Says('spread', type: Spread::class)]
#[Says('asksSureness', type: 'bool')]
#[Says('adapting', 'Each question is chosen by the answers so far; count is the most there may be.', 'bool')]
final class RecipeRequest extends Form
{
    /** Beside the filters. */
    private const NAMES = [
        'mode', 'spread', 'byTopic', 'plain', 'penalty', 'shuffled', 'runningScore', 'asksSureness', 'adapting',
    ];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'topics' => [$this->strings('Choose at least one topic.', fewest: 1)],
            'pools' => [$this->strings('There is no such pool of questions. Reload the page to see those there are.')],
            'difficulties' => [$this->strings('A question is easy, moderate or hard.')],
            'kinds' => [$this->strings('There is no such kind of question.')],
            'words' => ['nullable', 'string', 'max:'.WordFilter::LONGEST],
            'count' => ['required_without:byTopic', 'nullable', 'integer', 'min:1', 'max:'.Recipe::MOST_QUESTIONS],
            'minutes' => ['nullable', 'integer', 'min:1', 'max:'.Recipe::MOST_MINUTES],
            'secondsEach' => [
                'nullable', 'integer', 'min:'.Recipe::FEWEST_SECONDS, 'max:'.Recipe::MOST_SECONDS,
            ],
            'name' => ['nullable', 'string', 'max:120'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'count.required_without' => 'Say how many questions you want, from 1 to 500.',
            'count.integer' => 'Say how many questions you want as a whole number, from 1 to 500.',
            'count.min' => 'A test needs at least 1 question. Choose a number from 1 to 500.',
            'count.max' => 'A test can have up to 500 questions. Choose a smaller number.',
            'words.max' => 'A search can have up to 200 letters.',
            'name.max' => 'A name can have up to 120 letters.',
            'minutes.min' => 'A time limit needs at least 1 minute.',
            'minutes.max' => 'A time limit can be up to 600 minutes.',
            'minutes.integer' => 'Give the time limit in whole minutes.',
            'secondsEach.min' => 'A question needs at least 5 seconds.',
            'secondsEach.max' => 'A question can have up to 3,600 seconds.',
            'secondsEach.integer' => 'Give the time for each question in whole seconds.',
        ];
    }

    /** @return string|null null: one is to be made of the choices */
    public function name(): ?string
    {
        $name = trim($this->string('name')->value());

        return $name === '' ? null : $name;
    }

    /** @throws InvalidRecipe with what to mend */
    public function recipe(): Recipe
    {
        $filters = array_map(fn (string $filter): string => $filter::key(), Filters::KNOWN);
        $whole = fn (string $name): ?int => $this->input($name) === null ? null : $this->integer($name);

        return Recipe::of(
            [
                'count' => $whole('count'),
                'minutes' => $whole('minutes'),
                'secondsEach' => $whole('secondsEach'),
            ] +
                array_filter(
                    $this->only([...$filters, ...self::NAMES]),
                    fn (mixed $value): bool => $value !== null,
                ) + ['mode' => ''],
        );
    }

    /** One rule for a whole list: a rule for each of its parts would cost a millisecond for every ten. */
    private function strings(string $otherwise, int $fewest = 0): Closure
    {
        return function (string $field, mixed $value, Closure $fail) use ($otherwise, $fewest): void {
            $sound =
                is_array($value) &&
                array_is_list($value) &&
                count($value) >= $fewest &&
                array_filter($value, is_string(...)) === $value;
            if ($value !== null && ! $sound) {
                $fail($otherwise);
            }
        };
    }
}
