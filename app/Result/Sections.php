<?php

declare(strict_types=1);

namespace App\Result;

use App\Handbook\HandbookSection;
use App\Question\Exam;
use Uplandia\Core\Result\Saving;

/** Sections of the handbook that a result sends one to. */
final class Sections
{
    private const MOST = 5;

    /**
     * @param  list<SatQuestion>  $sat
     * @return list<WorthReadingView>
     */
    public function worthReading(Exam $exam, array $sat): array
    {
        $references = [];
        foreach ($sat as $one) {
            $references[$one->result->position] = $one->references();
        }
        $savings = Saving::rank(array_column($sat, 'result'), $references);
        $sections = HandbookSection::query()
            ->where('exam_id', $exam->id)
            ->whereIn('code', array_column($savings, 'section'))
            ->get(['code', 'chapter', 'title'])
            ->keyBy('code');
        $views = [];
        foreach ($savings as $saving) {
            $section = $sections[$saving->section] ?? null;
            if ($section !== null && count($views) < self::MOST) {
                $views[] = WorthReadingView::of($section, $saving);
            }
        }

        return $views;
    }
}
