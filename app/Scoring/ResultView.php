<?php

declare(strict_types=1);

namespace App\Scoring;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Result')]
final readonly class ResultView
{
    /**
     * @param  list<TopicTallyView>  $topics
     * @param  list<TopicTallyView>  $sections  of a fixed paper
     */
    public function __construct(
        #[OA\Property] public string $sitting,
        #[OA\Property] public string $exam,
        #[OA\Property] public string $title,
        #[OA\Property(enum: ['tutor', 'timed', 'untimed'])] public string $mode,
        #[OA\Property] public int $startedAt,
        #[OA\Property] public int $endedAt,
        #[OA\Property(description: 'Time ran out.')] public bool $byClock,
        #[OA\Property] public int $activeMs,
        #[OA\Property(nullable: true)] public ?int $limitMs,
        #[OA\Property(ref: TallyView::class)] public TallyView $tally,
        #[OA\Property(description: 'The share that passes the real exam, as a percentage.')] public string $cut,
        #[OA\Property(description: 'At least 80 % answered, so that it counts in statistics.')] public bool $counts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TopicTallyView::class))] public array $topics,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TopicTallyView::class))] public array $sections,
        #[OA\Property(ref: ScaledView::class, nullable: true, description: 'Of a fixed paper whose answers are all marked.')] public ?ScaledView $scaled,
    ) {
    }
}
