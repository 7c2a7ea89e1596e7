<?php

declare(strict_types=1);

namespace App\Result;

/** Where a sitting stands: among the cohort, among one's own attempts, and among those who share its test. */
final readonly class PlaceView
{
    /**
     * @param  CohortPlaceView|null  $cohort  Null: nobody else can sit the same.
     * @param  SameQuestionsView|null  $questions  Null: too little is known.
     * @param  list<AttemptView>  $attempts  At the same test, this one included, the latest first.
     * @param  list<MemberView>  $members  Who sat it by its code and agrees to be compared; none unless the
     *     candidate agrees too.
     * @param  bool|null  $agrees  Whether the candidate agrees; null: the test is not shared.
     */
    public function __construct(
        public ?CohortPlaceView $cohort,
        public ?SameQuestionsView $questions,
        public array $attempts,
        public array $members,
        public ?bool $agrees,
    ) {
    }

    /** Nothing is compared before all of it is told. */
    public static function untold(): self
    {
        return new self(cohort: null, questions: null, attempts: [], members: [], agrees: null);
    }
}
