<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Question\Exam;
use App\Sitting\Sitting;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;

/**
 * A fixed list of questions with its settings.
 *
 * @property string $id
 * @property int|null $user_id null: a fixed paper, which is everybody's
 * @property int|null $paper_id
 * @property int $exam_id
 * @property string $title
 * @property string $mode
 * @property int|null $limit_ms before extra time
 * @property string $seed
 * @property int $questions
 * @property array<int, string>|null $series position => series it belongs to: in a series there is no going back
 * @property-read Exam $exam
 */
final class Test extends Model
{
    use HasUlids;

    protected $fillable = ['user_id', 'exam_id', 'recipe_id', 'paper_id', 'title', 'mode', 'limit_ms', 'seed', 'questions', 'series'];

    /**
     * Keeps a test with its questions.
     *
     * @param  array<string, mixed>  $settings  columns of the test
     * @param  list<array{position: int, question_id: int, version_id: int, marks: string, penalty: string, section: string|null}>  $items  in order
     */
    public static function holding(array $settings, array $items): self
    {
        $test = self::query()->create($settings + ['questions' => count($items), 'series' => self::seriesAmong(array_column($items, 'question_id'))]);
        foreach (array_chunk($items, 100) as $chunk) {
            DB::table('test_items')->insert(array_map(fn (array $item): array => ['test_id' => $test->id] + $item, $chunk));
        }

        return $test->refresh();
    }

    /** A sitting of this test that has not begun. */
    public function sittingFor(User $user): Sitting
    {
        return Sitting::query()->create(['user_id' => $user->id, 'exam_id' => $this->exam_id, 'test_id' => $this->id, 'extra_time' => $user->extra_time, 'questions' => $this->questions, 'status' => 'not_started']);
    }

    /**
     * The series among some questions.
     *
     * @param  list<int>  $questions  ids in order
     * @return array<int, string>|null by position; null: none
     */
    private static function seriesAmong(array $questions): ?array
    {
        $series = DB::table('questions')->join('units', 'units.id', '=', 'questions.unit_id')->where('units.kind', 'series')->whereIn('questions.id', $questions)->pluck('units.code', 'questions.id');
        $byPosition = array_map(fn (int $question): ?string => $series[$question] ?? null, $questions);

        return array_filter($byPosition) ?: null;
    }

    /** @return BelongsTo<Exam, $this> */
    public function exam(): BelongsTo
    {
        return $this->belongsTo(Exam::class);
    }

    protected function casts(): array
    {
        return ['series' => 'array'];
    }
}
