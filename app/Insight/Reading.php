<?php

declare(strict_types=1);

namespace App\Insight;

use App\Assembly\Syllabus;
use App\Question\QuestionVersion;
use App\Sitting\Sitting;
use App\Sitting\Sittings;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Insight\Answer;
use Uplandia\Core\Insight\Changes;
use Uplandia\Core\Insight\Headline;
use Uplandia\Core\Insight\Level;
use Uplandia\Core\Insight\Striking;
use Uplandia\Core\Insight\SurenessReport;
use Uplandia\Core\Insight\Timing;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Scoring\MarkScheme;
use Uplandia\Core\Sitting\QuestionState;

/** Reads a handed-in sitting for what it tells beyond its marks. The core decides what is worth saying. */
final readonly class Reading
{
    public function __construct(private Sittings $sittings, private Marker $marker)
    {
    }

    public function of(Sitting $sitting): InsightView
    {
        $sitting->loadMissing('test.exam');
        $state = $this->sittings->state($sitting);
        $answers = $this->answers($sitting, $state->questions);
        $changed = array_keys(array_filter($state->questions, fn (QuestionState $question): bool => $question->changes > 0));
        $headline = Headline::of($answers, $changed, BigRational::of($sitting->test->exam->rules['cut']));
        $sureness = SurenessReport::of($answers);
        $changes = Changes::of($answers, $changed);
        $striking = Striking::of($answers);

        return new InsightView(
            $headline->opening,
            $headline->facts,
            array_map(fn (Level $level) => new LevelView($level->sureness->value, $level->n, $level->stated, $level->accuracy, $level->interval->low, $level->interval->high, $level->leaning->value), $sureness->levels),
            new FootingView($sureness->footing['firm'], $sureness->footing['false_footing'], $sureness->footing['lucky_step'], $sureness->footing['open_ground']),
            Timing::of($answers)->slowest,
            new ChangesView($changes->wrongToRight, $changes->rightToWrong, $changes->wrongToWrong),
            new StrikingView($striking->questions, $striking->keyStruck, $striking->narrowedToTwo, $striking->accuracyNarrowed),
        );
    }

    /**
     * @param  list<QuestionState>  $questions
     * @return list<Answer>
     */
    private function answers(Sitting $sitting, array $questions): array
    {
        $syllabus = Syllabus::of($sitting->test->exam);
        $items = DB::table('test_items')->where('test_id', $sitting->test_id)->orderBy('position')->get(['position', 'version_id', 'marks', 'penalty']);
        $versions = QuestionVersion::query()->with('question')->whereIn('id', $items->pluck('version_id'))->get()->keyBy('id');
        $answers = [];
        foreach ($items as $item) {
            $version = $versions[$item->version_id] ?? null;
            assert($version instanceof QuestionVersion);
            $question = $version->forMarking();
            $state = $questions[(int) $item->position];
            $options = array_column((array) ($version->shown['options'] ?? []), 'id');
            $answers[] = new Answer(
                (int) $item->position,
                ['topic' => $syllabus->topOf($version->question->topic_id)->name, 'difficulty' => $version->question->difficulty, 'kind' => $version->question->kind],
                $this->marker->mark($question, $state->response, $state->rubricMarks),
                new MarkScheme((string) $item->marks, (string) $item->penalty),
                $state->firstResponse === null ? null : $this->marker->mark($question, $state->firstResponse, $state->rubricMarks),
                $state->activeMs,
                null,
                $state->sureness,
                $version->question->kind === 'single' ? 1 / max(1, count($options)) : 0.0,
                $options,
                $state->struck,
                is_string($version->answer['key'] ?? null) ? $version->answer['key'] : null,
            );
        }

        return $answers;
    }
}
