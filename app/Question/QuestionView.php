<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;

/** A question as a candidate sees it while sitting: nothing of its key. */
#[OA\Schema(schema: 'Question')]
final readonly class QuestionView
{
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property(description: 'Exact, as a decimal.')] public string $marks,
        #[
            OA\Property(nullable: true, description: 'Share of its marks that a wrong answer costs, such as 1/3.'),
        ]
        public ?string $penalty,
        #[OA\Property(description: 'Markdown. Gaps are marked [[id]].')] public string $stem,
        #[
            OA\Property(
                oneOf: [
                    new OA\Schema(ref: OptionsBody::class),
                    new OA\Schema(ref: RowsBody::class),
                    new OA\Schema(ref: OrderingBody::class),
                    new OA\Schema(ref: TypedGapsBody::class),
                    new OA\Schema(ref: NumberBody::class),
                    new OA\Schema(ref: PictureBody::class),
                    new OA\Schema(ref: WrittenBody::class),
                ],
                description: 'What is to be done, by kind.',
            ),
        ]
        public OptionsBody|RowsBody|OrderingBody|TypedGapsBody|NumberBody|PictureBody|WrittenBody $body,
        #[
            OA\Property(
                nullable: true,
                description: 'The case, passage or series it belongs to, by its name in this sitting.',
            ),
        ]
        public ?string $unit,
    ) {
    }
}
