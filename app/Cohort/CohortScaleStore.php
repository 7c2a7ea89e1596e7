<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Question\Exam;
use App\Question\Tallies;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Cohort\CohortScale;
use Uplandia\Core\Question\Difficulty;

/** The difficulty of each question as the cohort finds it, and how far abilities spread, kept for all estimates. */
final readonly class CohortScaleStore
{
    /** Far finer than an estimate is, and coarse enough that questions which are alike can be counted as one. */
    private const DECIMALS = 2;

    public function __construct(private FirstLooks $looks, private Tallies $tallies)
    {
    }

    public function renew(Exam $exam): void
    {
        $questions = DB::table('questions')
            ->where('exam_id', $exam->id)
            ->get(['id', 'version_id', 'difficulty', 'luck'])
            ->keyBy('version_id');
        $ids = $chance = $author = [];
        foreach ($questions as $version => $question) {
            $ids[(int) $version] = (int) $question->id;
            $chance[(int) $version] = (float) $question->luck;
            $author[(int) $version] = Difficulty::from((string) $question->difficulty)->b();
        }
        $scale = CohortScale::of($this->looks->of($exam), $chance, $author);
        DB::transaction(function () use ($exam, $ids, $author, $scale): void {
            foreach ($author as $version => $b) {
                DB::table('questions')
                    ->where('id', $ids[$version])
                    ->update(['b' => round($scale->b[$version] ?? $b, self::DECIMALS)]);
            }
            $exam->forceFill(['cohort_deviation' => $scale?->deviation])->save();
            $this->tallies->renew($exam->id);
        });
    }
}
