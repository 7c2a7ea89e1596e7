<?php

declare(strict_types=1);

namespace App\Question;

/** A question as a candidate sees it while sitting: nothing of its key. */
final readonly class QuestionView
{
    /**
     * @param  string  $marks  Exact, as a decimal.
     * @param  string|null  $penalty  Share of its marks that a wrong answer costs, such as 1/3.
     * @param  string  $stem  Markdown. Gaps are marked [[id]].
     * @param  OptionsBody|RowsBody|OrderingBody|TypedGapsBody|NumberBody|PictureBody|WrittenBody  $body  What is to
     *     be done, by kind.
     * @param  string|null  $unit  The case, passage or series it belongs to, by its name in this sitting.
     */
    public function __construct(
        public int $position,
        public string $marks,
        public ?string $penalty,
        public string $stem,
        public OptionsBody|RowsBody|OrderingBody|TypedGapsBody|NumberBody|PictureBody|WrittenBody $body,
        public ?string $unit,
    ) {
    }
}
