<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Candidacy;
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
        $own = [...$candidacy->key(), 'seed' => Str::random(32)] + $settings;

        return Test::createWith($own, $test->items(), $minutes);
    }
}
