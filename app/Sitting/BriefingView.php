<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** What a candidate should know before a sitting, and where it stands. */
#[OA\Schema(schema: 'Briefing')]
final readonly class BriefingView
{
    /** @param  list<SectionBriefView>  $sections  of a fixed paper */
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $exam,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['tutor', 'timed', 'untimed'])] public string $mode,
        #[OA\Property(enum: ['not_started', 'open', 'handed_in'])] public string $status,
        #[OA\Property] public int $questions,
        #[OA\Property] public int $answered,
        #[OA\Property(description: 'Exact, as a decimal.')] public string $marks,
        #[OA\Property(description: 'With extra time.', nullable: true)] public ?int $limitMs,
        #[OA\Property] public string $extraTime,
        #[OA\Property(description: 'By the pace plan, without reserve.', nullable: true)] public ?int $msPerMark,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SectionBriefView::class))] public array $sections,
    ) {
    }
}
