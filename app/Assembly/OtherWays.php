<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Candidacy;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The questions of a paper or a rehearsal with their marks, sat in another way than the exam: as a test of one's own,
 * which nothing is compared with.
 */
final class OtherWays
{
    /** @param  Test  $test  under the rules of the exam; a rehearsal is one's own already, a paper is everybody's */
    public static function of(Test $test, Way $way, Candidacy $candidacy): Test
    {
        if ($way === Way::AsExam) {
            return $test;
        }
        $settings = [
            'of_exam' => false,
            'section' => null,
            'paper_id' => null,
            'title' => mb_substr($test->title, 0, 90).", {$way->words()}",
            'mode' => $way->mode(),
        ];
        $minutes = $way === Way::Pausable ? $test->blueprint()?->minutes : null;
        if ($test->user_id !== null) {
            $test->update($settings + ['minutes' => $minutes]);

            return $test;
        }
        $items = DB::table('test_items')
            ->where('test_id', $test->id)
            ->orderBy('position')
            ->get(['position', 'question_id', 'version_id', 'marks', 'penalty', 'section'])
            ->map(fn (object $row): array => (array) $row)
            ->values()
            ->all();

        /** @phpstan-ignore argument.type (the rows are those that a test was made with) */
        return Test::createWith([...$candidacy->key(), 'seed' => Str::random(32)] + $settings, $items, $minutes);
    }
}
