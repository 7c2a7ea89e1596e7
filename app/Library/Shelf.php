<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Refusal;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use stdClass;

/** Stars and notes: kept with the question for its candidate, whichever sitting they come from. */
final readonly class Shelf
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return list<KeptView> in the order of the test */
    public function of(Sitting $sitting): array
    {
        $rows = DB::table('test_items')
            ->join(
                'standings',
                fn ($join) => $join
                    ->on('standings.question_id', '=', 'test_items.question_id')
                    ->where('standings.user_id', $sitting->user_id),
            )
            ->leftJoin(
                'notes',
                fn ($join) => $join
                    ->on('notes.question_id', '=', 'test_items.question_id')
                    ->where('notes.user_id', $sitting->user_id),
            )
            ->where('test_items.test_id', $sitting->test_id)
            ->where(fn ($kept) => $kept->where('starred', true)->orWhere('noted', true))
            ->orderBy('position')
            ->get(['position', 'starred', 'body']);

        return array_map(
            fn (stdClass $row): KeptView => new KeptView(
                position: (int) $row->position,
                starred: (bool) $row->starred,
                note: (string) $row->body,
            ),
            array_values($rows->all()),
        );
    }

    /** @throws Refusal when the test has no such question */
    public function star(Sitting $sitting, int $position, bool $on): void
    {
        $this->mark($sitting, $this->question($sitting, $position), ['starred' => $on]);
    }

    /**
     * One note for each question; an empty one takes it away.
     *
     * @throws Refusal when the test has no such question
     */
    public function note(Sitting $sitting, int $position, string $note): void
    {
        $question = $this->question($sitting, $position);
        DB::transaction(function () use ($sitting, $question, $note): void {
            $mine = DB::table('notes')->where('user_id', $sitting->user_id)->where('question_id', $question->id);
            if ($note === '') {
                $mine->delete();
            } elseif ($mine->update(['body' => $note, 'updated_at' => $this->clock->now()]) === 0) {
                DB::table('notes')->insert([
                    'user_id' => $sitting->user_id,
                    'exam_id' => $sitting->exam_id,
                    'question_id' => $question->id,
                    'body' => $note,
                    'created_at' => $this->clock->now(),
                    'updated_at' => $this->clock->now(),
                ]);
            }
            $this->mark($sitting, $question, ['noted' => $note !== '']);
        });
    }

    /** @throws Refusal */
    private function question(Sitting $sitting, int $position): stdClass
    {
        return DB::table('test_items')
            ->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->where('test_id', $sitting->test_id)
            ->where('position', $position)
            ->first(['questions.id', 'questions.topic_id']) ?? throw Refusal::notFound();
    }

    /** @param  array<string, bool>  $marks  columns of standings */
    private function mark(Sitting $sitting, stdClass $question, array $marks): void
    {
        DB::table('standings')->upsert(
            [
                'user_id' => $sitting->user_id,
                'question_id' => (int) $question->id,
                'exam_id' => $sitting->exam_id,
                'topic_id' => (int) $question->topic_id,
                ...$marks,
            ],
            ['user_id', 'question_id'],
            array_keys($marks),
        );
    }
}
