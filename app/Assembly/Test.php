<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Exam;
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
     * The series among some questions.
     *
     * @param  list<int>  $questions  ids in order
     * @return array<int, string>|null by position; null: none
     */
    public static function seriesAmong(array $questions): ?array
    {
        $series = DB::table('questions')->join('units', 'units.id', '=', 'questions.unit_id')->where('units.kind', 'series')->whereIn('questions.id', $questions)->pluck('units.code', 'questions.id');
        $byPosition = [];
        foreach ($questions as $position => $question) {
            if (isset($series[$question])) {
                $byPosition[$position] = (string) $series[$question];
            }
        }

        return $byPosition === [] ? null : $byPosition;
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
