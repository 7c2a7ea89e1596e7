<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Refusal;
use App\Question\ReportAbout;
use App\Sitting\Sitting;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use stdClass;

/** Stars, notes and highlights: kept with the question for its candidate, whichever sitting they come from. */
final readonly class Shelf
{
    private const WORDS_A_DAY = 50;

    public function __construct(private Margins $margins, private ClockInterface $clock)
    {
    }

    /** @return list<KeptView> in the order of the test */
    public function of(Sitting $sitting): array
    {
        $items = fn (string $table): Builder => DB::table('test_items')
            ->join(
                $table,
                fn ($join) => $join
                    ->on("{$table}.question_id", '=', 'test_items.question_id')
                    ->where("{$table}.user_id", $sitting->user_id),
            )
            ->where('test_items.test_id', $sitting->test_id)
            ->orderBy('position');
        $kept = [];
        $marked = $items('standings')->where(fn ($any) => $any->where('starred', true)->orWhere('noted', true));
        $marked->leftJoin(
            'notes',
            fn ($join) => $join
                ->on('notes.question_id', '=', 'test_items.question_id')
                ->where('notes.user_id', $sitting->user_id),
        );
        foreach ($marked->get(['position', 'starred', 'body']) as $row) {
            $kept[(int) $row->position] = [(bool) $row->starred, (string) $row->body, []];
        }
        $highlights = $items('highlights')->orderBy('highlights.id')->get(['position', 'highlights.*']);
        foreach ($highlights as $row) {
            $kept[(int) $row->position] ??= [false, '', []];
            $kept[(int) $row->position][2][] = Margins::highlightOf($row);
        }
        ksort($kept);

        return array_map(
            fn (int $position, array $own): KeptView => new KeptView(
                position: $position,
                starred: $own[0],
                note: $own[1],
                highlights: $own[2],
            ),
            array_keys($kept),
            $kept,
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
            $this->margins->note(self::text($sitting, $question), $note);
            $this->mark($sitting, $question, ['noted' => $note !== '']);
        });
    }

    /**
     * All highlights that a question has from now on.
     *
     * @param  list<HighlightView>  $highlights
     *
     * @throws Refusal when the test has no such question
     */
    public function highlight(Sitting $sitting, int $position, array $highlights): void
    {
        $this->margins->highlight(self::text($sitting, $this->question($sitting, $position)), $highlights);
    }

    /**
     * A word to the authors, about the version that the sitting shows.
     *
     * @throws Refusal when the test has no such question, or the authors have heard enough from somebody for today
     */
    public function tell(Sitting $sitting, int $position, ReportAbout $about, string $body): void
    {
        $question = $this->question($sitting, $position);
        $today = DB::table('problem_reports')
            ->where('user_id', $sitting->user_id)
            ->where('created_at', '>', $this->clock->now()->modify('-1 day'));
        if ($today->count() >= self::WORDS_A_DAY) {
            throw Refusal::conflict('enough_said', 'You have told the authors a lot today. Go on tomorrow.');
        }
        DB::table('problem_reports')->insert([
            'user_id' => $sitting->user_id,
            'exam_id' => $sitting->exam_id,
            'question_id' => (int) $question->id,
            'version_id' => (int) $question->version_id,
            'about' => $about->value,
            'body' => $body,
            'created_at' => $this->clock->now(),
            'updated_at' => $this->clock->now(),
        ]);
    }

    /** @return array{user_id: int, exam_id: int, question_id: int} */
    private static function text(Sitting $sitting, stdClass $question): array
    {
        return [
            'user_id' => $sitting->user_id,
            'exam_id' => $sitting->exam_id,
            'question_id' => (int) $question->id,
        ];
    }

    /** @throws Refusal */
    private function question(Sitting $sitting, int $position): stdClass
    {
        return DB::table('test_items')
            ->join('questions', 'questions.id', '=', 'test_items.question_id')
            ->where('test_id', $sitting->test_id)
            ->where('position', $position)
            ->first(['questions.id', 'questions.topic_id', 'test_items.version_id']) ?? throw Refusal::notFound();
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
