<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Exam;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

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
 * @property-read Exam $exam
 */
final class Test extends Model
{
    use HasUlids;

    protected $fillable = ['user_id', 'exam_id', 'recipe_id', 'paper_id', 'title', 'mode', 'limit_ms', 'seed', 'questions'];

    /** @return BelongsTo<Exam, $this> */
    public function exam(): BelongsTo
    {
        return $this->belongsTo(Exam::class);
    }
}
