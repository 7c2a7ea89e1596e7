<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Operation;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** What is printed of a sitting. */
final readonly class BookletController
{
    public function __construct(private Briefings $briefings, private SittingQuestions $questions)
    {
    }

    #[Operation('Print a booklet', returns: BookletView::class)]
    public function show(Sitting $sitting): JsonResponse
    {
        if (! $sitting->isHandedIn()) {
            $sitting->test->refuseAdaptive(
                'Each question of an adaptive test depends on the answer before. It can be printed once it is over.',
            );
        }

        return new JsonResponse(
            new BookletView(
                briefing: $this->briefings->of($sitting),
                questions: $this->questions->questions($sitting),
                units: $this->questions->units($sitting),
                sections: $this->sections($sitting),
                keyed: $sitting->isHandedIn() || $sitting->on_paper,
            ),
        );
    }

    /** @return list<BookletSectionView> */
    private function sections(Sitting $sitting): array
    {
        $blueprint = $sitting->test->blueprint();
        if ($blueprint === null) {
            return [];
        }
        $starts = DB::table('test_items')
            ->where('test_id', $sitting->test_id)
            ->whereNotNull('section')
            ->groupBy('section')
            ->selectRaw('section, min(position) as start')
            ->orderBy('start')
            ->pluck('start', 'section');
        $sections = [];
        foreach ($starts as $code => $start) {
            $sections[] = new BookletSectionView(
                name: $blueprint->section((string) $code)->name ?? (string) $code,
                from: (int) $start,
            );
        }

        return $sections;
    }
}
