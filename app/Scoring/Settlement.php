<?php

declare(strict_types=1);

namespace App\Scoring;

use App\Question\QuestionVersion;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Scoring\Marked;
use Uplandia\Core\Scoring\MarkScheme;
use Uplandia\Core\Scoring\Totals;
use Uplandia\Core\Sitting\State;

/** Marks sittings and writes what came of each question. All it writes can be made again from the events. */
final readonly class Settlement
{
    public function __construct(private Marker $marker)
    {
    }

    /**
     * Questions of a sitting, ready for marking.
     *
     * @param  list<int|null>|null  $positions  null: all
     * @return array<int, Question> by position
     */
    public function questions(Sitting $sitting, ?array $positions = null): array
    {
        return array_map(fn (TestItem $item): Question => $item->question, $this->items($sitting, $positions));
    }

    /**
     * Refuses a response that could not be marked.
     *
     * @param  array<string, string>|null  $rubricMarks
     *
     * @throws MalformedResponse
     */
    public function check(Question $question, mixed $response, ?array $rubricMarks = null): void
    {
        if ($response !== null && ! is_array($response)) {
            throw MalformedResponse::because('A response must be an object or null.');
        }
        $this->marker->mark($question, $response, $rubricMarks);
    }

    /** @return array<int, string> outcomes known so far, by position */
    public function outcomes(Sitting $sitting): array
    {
        return DB::table('outcomes')->where('sitting_id', $sitting->id)->pluck('outcome', 'position')->map(fn (mixed $outcome): string => is_string($outcome) ? $outcome : '')->all();
    }

    /** Settles every question, then the totals, and closes the sitting. */
    public function finish(Sitting $sitting, State $state, int $now): void
    {
        $marked = $this->settle($sitting, $state, null, $now);
        $sitting->update(self::closing($marked, $state, $now));
    }

    /**
     * Marks some questions as they stand and records their outcomes and standings.
     *
     * @param  list<int>|null  $positions  null: all
     * @return list<Marked>
     */
    public function settle(Sitting $sitting, State $state, ?array $positions, int $now): array
    {
        $items = $this->items($sitting, $positions);
        $known = DB::table('outcomes')->where('sitting_id', $sitting->id)->pluck('first_look', 'position')->map(fn (mixed $first): bool => (bool) $first)->all();
        $met = DB::table('standings')->where('user_id', $sitting->user_id)->whereIn('question_id', array_column($items, 'questionId'))->get(['question_id', 'seen', 'seen_ms'])->keyBy('question_id');
        $settled = $this->project($sitting, $items, $state, $now, $known, $met->map(fn (object $row): int => (int) $row->seen)->all());
        // A sitting that is settled anew (a written answer was marked) must not speak over one that came after it.
        $standings = array_filter($settled->standings, fn (array $row): bool => (int) ($met[$row['question_id']]->seen_ms ?? 0) <= $now);
        foreach (array_chunk($settled->outcomes, 50) as $chunk) {
            DB::table('outcomes')->upsert($chunk, ['sitting_id', 'position']);
        }
        foreach (array_chunk($standings, 100) as $chunk) {
            DB::table('standings')->upsert($chunk, ['user_id', 'question_id'], ['topic_id', 'outcome', 'flagged', 'seen', 'seen_ms']);
        }

        return $settled->marked;
    }

    /**
     * What settling would write. Writes nothing itself.
     *
     * @param  array<int, TestItem>  $items  by position
     * @param  array<int, bool>  $known  position => whether its outcome of earlier on was a first look
     * @param  array<int, int>  $seen  question id => how often it was seen before
     */
    public function project(Sitting $sitting, array $items, State $state, int $now, array $known = [], array $seen = []): Settled
    {
        $marked = $outcomes = $standings = [];
        foreach ($items as $position => $item) {
            $question = $state->questions[$position];
            $credit = $this->marker->mark($item->question, $question->response, $question->rubricMarks);
            $marked[] = new Marked($credit, $item->scheme);
            $times = $seen[$item->questionId] ?? 0;
            $again = isset($known[$position]);
            $outcomes[] = [
                'sitting_id' => $sitting->id, 'position' => $position, 'user_id' => $sitting->user_id, 'exam_id' => $sitting->exam_id, 'question_id' => $item->questionId,
                'version_id' => $item->versionId, 'topic_id' => $item->topicId, 'outcome' => $credit->outcome->value, 'credit' => $credit->share === null ? null : (string) $credit->share,
                'marks' => (string) $item->scheme->marksFor($credit), 'possible' => (string) $item->scheme->marks, 'first_look' => $known[$position] ?? $times === 0, 'settled_ms' => $now,
                'sureness' => $question->sureness?->value, 'active_ms' => $question->activeMs,
            ];
            $standings[] = [
                'user_id' => $sitting->user_id, 'question_id' => $item->questionId, 'exam_id' => $sitting->exam_id, 'topic_id' => $item->topicId,
                'outcome' => $credit->outcome->value, 'flagged' => $question->flagged, 'seen' => $times + ($again ? 0 : 1), 'seen_ms' => $now,
            ];
        }

        return new Settled($marked, $outcomes, $standings);
    }

    /**
     * The columns that close a sitting.
     *
     * @param  list<Marked>  $marked
     * @return array<string, mixed>
     */
    public static function closing(array $marked, State $state, int $now): array
    {
        $totals = Totals::of($marked);

        return [
            'status' => 'handed_in', 'pen' => null, 'deadline_ms' => null, 'ended_ms' => $state->endedAt ?? $now, 'by_clock' => $state->byClock, 'active_ms' => $state->activeMs,
            'answered' => $totals->answered(), 'marks' => (string) $totals->marks, 'possible' => (string) $totals->possible,
        ];
    }

    /**
     * @param  list<int|null>|null  $positions  null: all
     * @return array<int, TestItem> by position
     */
    public function items(Sitting $sitting, ?array $positions = null): array
    {
        $rows = DB::table('test_items')->join('questions', 'questions.id', '=', 'test_items.question_id')->where('test_id', $sitting->test_id)
            ->when($positions !== null, fn ($query) => $query->whereIn('position', $positions ?? []))
            ->orderBy('position')->get(['position', 'question_id', 'test_items.version_id', 'topic_id', 'marks', 'penalty']);
        $versions = QuestionVersion::query()->with('question')->whereIn('id', $rows->pluck('version_id'))->get()->keyBy('id');
        $items = [];
        foreach ($rows as $row) {
            $version = $versions[$row->version_id];
            assert($version instanceof QuestionVersion);
            $items[(int) $row->position] = new TestItem((int) $row->question_id, (int) $row->version_id, (int) $row->topic_id, new MarkScheme((string) $row->marks, (string) $row->penalty), $version->forMarking());
        }

        return $items;
    }
}
