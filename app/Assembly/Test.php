<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\Exam;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Assembly\Blueprint;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;

/**
 * A fixed list of questions with its settings.
 *
 * @property string $id
 * @property int|null $user_id null: a fixed paper, which is everybody's, or a test whose maker has left
 * @property string|null $recipe_id the choices it was made by
 * @property int|null $paper_id
 * @property int|null $series_test_id
 * @property bool $of_exam sat under the exam's own rules: a paper or a rehearsal
 * @property string|null $section code of the one section it is of; null: whole, or of no section
 * @property list<array<string, mixed>>|null $reasons why each topic is in it
 * @property int $exam_id
 * @property string $title
 * @property Mode $mode
 * @property bool $shuffled whether options stand in an order of each sitting's own
 * @property int|null $seconds_each the same for each question, instead
 * @property bool $running_score
 * @property bool $asks_sureness
 * @property int|null $minutes time limit before anybody's extra time; null: none, or as the exam's rules say
 * @property string $seed
 * @property int $questions of an adaptive test, so many have been asked by now
 * @property int|null $adaptive at most so many questions, each chosen by the answers so far; null: a fixed list
 * @property-read Exam $exam
 *
 * @phpstan-type Item array{
 *     position: int, question_id: int, version_id: int, marks: string, penalty: string, section: string|null
 * }
 */
final class Test extends Model
{
    use HasUlids;

    protected $fillable = [
        'user_id',
        'exam_id',
        'recipe_id',
        'paper_id',
        'series_test_id',
        'of_exam',
        'section',
        'reasons',
        'title',
        'mode',
        'shuffled',
        'running_score',
        'asks_sureness',
        'minutes',
        'seconds_each',
        'seed',
        'questions',
        'adaptive',
    ];

    /**
     * Keeps a test with its questions.
     *
     * @param  array<string, mixed>  $settings  columns of the test
     * @param  list<Item>  $items  in order
     */
    public static function createWith(array $settings, array $items, ?int $minutes): self
    {
        $test = self::query()->create($settings + ['questions' => count($items), 'minutes' => $minutes]);
        foreach (array_chunk($items, 100) as $chunk) {
            DB::table('test_items')->insert(
                array_map(fn (array $item): array => ['test_id' => $test->id] + $item, $chunk),
            );
        }

        return $test->refresh();
    }

    /** @return list<Item> its questions, in order, as it was made with them */
    public function items(): array
    {
        return array_values(
            DB::table('test_items')
                ->where('test_id', $this->id)
                ->orderBy('position')
                ->get(['position', 'question_id', 'version_id', 'marks', 'penalty', 'section'])
                ->map(fn (stdClass $row): array => [
                    'position' => (int) $row->position,
                    'question_id' => (int) $row->question_id,
                    'version_id' => (int) $row->version_id,
                    'marks' => (string) $row->marks,
                    'penalty' => (string) $row->penalty,
                    'section' => $row->section === null ? null : (string) $row->section,
                ])
                ->all(),
        );
    }

    /**
     * The rules of the exam that it is sat under, of its one section where it has one; null: it has rules of its own.
     */
    public function blueprint(): ?Blueprint
    {
        return match (true) {
            ! $this->of_exam => null,
            $this->section === null => $this->exam->blueprint(),
            default => $this->exam->blueprint()->only($this->section),
        };
    }

    /**
     * What is done with a fixed list cannot be done with a test whose next question depends on the last answer.
     *
     * @throws Refusal
     */
    public function refuseAdaptive(string $sentence): void
    {
        if ($this->adaptive !== null) {
            throw Refusal::conflict('adaptive', $sentence);
        }
    }

    /** Whether its maker can have other questions by the same recipe, or under the same rules of the exam. */
    public function canBeFresh(int $user): bool
    {
        return $this->user_id === $user && ($this->recipe_id !== null || $this->of_exam);
    }

    /** What it may ask: all, where it was made without choices, as fixed papers and rehearsals are. */
    public function filters(): Filters
    {
        $kept = $this->recipe_id === null ? null : SavedRecipe::query()->find($this->recipe_id);

        return $kept === null ? new Filters() : $kept->recipe()->filters;
    }

    /** Whether it is a whole paper or rehearsal, and not a section alone. */
    public function isWholeExam(): bool
    {
        return $this->of_exam && $this->section === null;
    }

    /** Whether it has the sections of the exam, and is sat in another way than that. */
    public function isInAnotherWay(): bool
    {
        // All its questions stand in a section, or none does.
        return ! $this->of_exam &&
            DB::table('test_items')->where('test_id', $this->id)->where('position', 0)->value('section') !== null;
    }

    /** Whether it can be sat again as it is: attempts of a series are counted, and no adaptive test recurs. */
    public function isRepeatable(): bool
    {
        return $this->series_test_id === null && $this->adaptive === null;
    }

    /** @return BelongsTo<Exam, $this> */
    public function exam(): BelongsTo
    {
        return $this->belongsTo(Exam::class);
    }

    protected function casts(): array
    {
        return [
            'mode' => Mode::class,
            'of_exam' => 'boolean',
            'reasons' => 'array',
            'shuffled' => 'boolean',
            'running_score' => 'boolean',
            'asks_sureness' => 'boolean',
        ];
    }
}
