<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** Where a sitting stands: among the cohort, among one's own attempts, and among those who share its test. */
#[OA\Schema(schema: 'Place')]
final readonly class PlaceView
{
    /**
     * @param  list<AttemptView>  $attempts
     * @param  list<MemberView>  $members
     */
    public function __construct(
        #[OA\Property(ref: CohortPlaceView::class, nullable: true, description: 'Null: nobody else can sit the same.')]
        public ?CohortPlaceView $cohort,
        #[OA\Property(ref: SameQuestionsView::class, nullable: true, description: 'Null: too little is known.')]
        public ?SameQuestionsView $questions,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: AttemptView::class),
                description: 'At the same test, this one included, the latest first.',
            ),
        ]
        public array $attempts,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: MemberView::class),
                description: 'Who sat it by its code and agrees to be compared; none unless the candidate agrees too.',
            ),
        ]
        public array $members,
        #[OA\Property(nullable: true, description: 'Whether the candidate agrees; null: the test is not shared.')]
        public ?bool $agrees,
    ) {
    }

    /** Nothing is compared before all of it is told. */
    public static function untold(): self
    {
        return new self(cohort: null, questions: null, attempts: [], members: [], agrees: null);
    }
}
