<?php

declare(strict_types=1);

namespace App\Progress;

use App\Account\User;
use App\Http\Contract\Get;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Progress\Mastery;

final readonly class MasteryController
{
    public function __construct(private Estimates $estimates)
    {
    }

    #[Get('/api/exams/{exam}/mastery', 'Where I stand in each topic', returns: MasteriesView::class)]
    public function show(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $estimate = $this->estimates->of($exam, $user, Syllabus::of($exam));

        return new JsonResponse(
            new MasteriesView(
                cut: (float) $exam->rules['cut'],
                topics: array_map(self::view(...), $estimate->topics, $estimate->mastery, $estimate->responses),
            ),
        );
    }

    /** With fewer answers than this, an estimate says more of the cohort than of the candidate. */
    private static function view(SyllabusTopic $topic, ?Mastery $mastery, int $responses): MasteryView
    {
        $shown = $responses >= Estimate::SHOWN_FROM ? $mastery : null;

        return new MasteryView(
            code: $topic->code,
            share: $shown?->share,
            low: $shown?->band->low,
            high: $shown?->band->high,
            responses: $responses,
        );
    }
}
