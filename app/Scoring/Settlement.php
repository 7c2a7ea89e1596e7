<?php

declare(strict_types=1);

namespace App\Scoring;

use App\Question\QuestionVersion;
use App\Sitting\Sitting;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\Credit;
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
        return $this->items($sitting, $positions)->map(fn (object $item): Question => $item->version->forMarking())->all();
    }

    /**
     * Refuses a response that could not be marked.
     *
     * @throws MalformedResponse
     */
    public function check(Question $question, mixed $response): void
    {
        if ($response !== null && ! is_array($response)) {
            throw MalformedResponse::because('A response must be an object or null.');
        }
        $this->marker->mark($question, $response);
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
        $totals = Totals::of($marked);
        $sitting->update([
            'status' => 'handed_in', 'pen' => null, 'deadline_ms' => null, 'ended_ms' => $state->endedAt ?? $now, 'by_clock' => $state->byClock, 'active_ms' => $state->activeMs,
            'answered' => $totals->answered(), 'marks' => (string) $totals->marks, 'possible' => (string) $totals->possible,
        ]);
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
        $known = DB::table('outcomes')->where('sitting_id', $sitting->id)->pluck('first_look', 'position');
        $seen = DB::table('standings')->where('user_id', $sitting->user_id)->whereIn('question_id', $items->pluck('question_id'))->pluck('seen', 'question_id');
        $marked = $outcomes = $standings = [];
        foreach ($items as $position => $item) {
            $question = $state->questions[$position];
            $credit = $this->marker->mark($item->version->forMarking(), $question->response);
            $scheme = new MarkScheme((string) $item->marks, (string) $item->penalty);
            $marked[] = new Marked($credit, $scheme);
            $times = is_numeric($seen[$item->question_id] ?? null) ? (int) $seen[$item->question_id] : 0;
            $again = isset($known[$position]);
            $outcomes[] = $this->outcome($sitting, $position, $item, $credit, $scheme, $again ? (bool) $known[$position] : $times === 0, $now)
                + ['sureness' => $question->sureness?->value, 'active_ms' => $question->activeMs];
            $standings[] = [
                'user_id' => $sitting->user_id, 'question_id' => $item->question_id, 'exam_id' => $sitting->exam_id, 'topic_id' => $item->topic_id,
                'outcome' => $credit->outcome->value, 'flagged' => $question->flagged, 'seen' => $times + ($again ? 0 : 1), 'seen_ms' => $now,
            ];
        }
        foreach (array_chunk($outcomes, 50) as $chunk) {
            DB::table('outcomes')->upsert($chunk, ['sitting_id', 'position']);
        }
        foreach (array_chunk($standings, 100) as $chunk) {
            DB::table('standings')->upsert($chunk, ['user_id', 'question_id'], ['topic_id', 'outcome', 'flagged', 'seen', 'seen_ms']);
        }

        return $marked;
    }

    /**
     * @param  object{question_id: int, version_id: int, topic_id: int}  $item
     * @return array<string, mixed>
     */
    private function outcome(Sitting $sitting, int $position, object $item, Credit $credit, MarkScheme $scheme, bool $firstLook, int $now): array
    {
        return [
            'sitting_id' => $sitting->id, 'position' => $position, 'user_id' => $sitting->user_id, 'exam_id' => $sitting->exam_id, 'question_id' => $item->question_id,
            'version_id' => $item->version_id, 'topic_id' => $item->topic_id, 'outcome' => $credit->outcome->value, 'credit' => $credit->share === null ? null : (string) $credit->share,
            'marks' => (string) $scheme->marksFor($credit), 'possible' => (string) $scheme->marks, 'first_look' => $firstLook, 'settled_ms' => $now,
        ];
    }

    /**
     * @param  list<int|null>|null  $positions
     * @return Collection<int, object{question_id: int, version_id: int, topic_id: int, marks: string, penalty: string, version: QuestionVersion}> by position
     */
    private function items(Sitting $sitting, ?array $positions): Collection
    {
        $rows = DB::table('test_items')->join('questions', 'questions.id', '=', 'test_items.question_id')->where('test_id', $sitting->test_id)
            ->when($positions !== null, fn ($query) => $query->whereIn('position', $positions ?? []))
            ->orderBy('position')->get(['position', 'question_id', 'test_items.version_id', 'topic_id', 'marks', 'penalty']);
        $versions = QuestionVersion::query()->with('question')->whereIn('id', $rows->pluck('version_id'))->get()->keyBy('id');

        return $rows->keyBy('position')->map(fn (object $row): object => (object) [
            'question_id' => (int) $row->question_id, 'version_id' => (int) $row->version_id, 'topic_id' => (int) $row->topic_id,
            'marks' => (string) $row->marks, 'penalty' => (string) $row->penalty, 'version' => $versions[$row->version_id] ?? throw new \LogicException('A test item lost its version.'),
        ]);
    }
}
