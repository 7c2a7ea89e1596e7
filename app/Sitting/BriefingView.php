<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\ExamSectionView;
use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Question\Kind;

/** What a candidate should know before a sitting, and where it stands. */
#[OA\Schema(schema: 'Briefing')]
final readonly class BriefingView
{
    /**
     * @param  list<ExamSectionView>  $sections  of a paper or a rehearsal
     * @param  list<int>  $planMs
     * @param  list<string>  $rules
     * @param  list<Kind>  $kinds
     * @param  list<ReasonView>  $reasons  none: it is not made of weak spots
     */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $exam,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Its answers come from paper.')] public bool $onPaper,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property(enum: Stage::class)] public Stage $status,
        #[OA\Property] public int $questions,
        #[OA\Property] public int $answered,
        #[OA\Property(description: 'Exact, as a decimal.')] public string $marks,
        #[OA\Property(description: 'With extra time.', nullable: true)] public ?int $limitMs,
        #[
            OA\Property(
                description: 'For each question, with extra time; then there is no going back.',
                nullable: true,
            ),
        ]
        public ?int $questionMs,
        #[OA\Property(description: 'Whether each question asks how sure one is.')] public bool $asksSureness,
        #[OA\Property(description: 'Of the limit, for reading before the clock begins.')] public int $readingMs,
        #[OA\Property(description: 'What the candidate means to have left at the end.')] public int $reserveMs,
        #[OA\Property] public string $extraTime,
        #[OA\Property(description: 'By the pace plan.', nullable: true)] public ?int $msPerMark,
        #[OA\Property(description: 'A pause stops the clock.')] public bool $pausable,
        #[
            OA\Property(description: 'How many breaks may be taken; a break does not stop the clock.'),
        ]
        public int $breaks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExamSectionView::class))] public array $sections,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'integer'),
                description: 'Section by section, its time by the pace plan; none without one.',
            ),
        ]
        public array $planMs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReasonView::class))] public array $reasons,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'In the words of the exam; none: it is not sat under its rules.',
            ),
        ]
        public array $rules,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string', enum: Kind::class),
                description: 'Kinds of question that occur, in no order of the test.',
            ),
        ]
        public array $kinds,
        #[
            OA\Property(
                description: 'Of an adaptive test, at most so many questions are asked, and each depends on the answer '
                    .'before; null: it is a fixed list.',
                nullable: true,
            ),
        ]
        public ?int $most,
    ) {
    }
}
