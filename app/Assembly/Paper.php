<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Exam;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A fixed paper of an exam, put together by its authors.
 *
 * @property int $id
 * @property int $exam_id
 * @property string $code
 * @property string $title
 * @property-read Exam $exam
 */
final class Paper extends Model
{
    public $timestamps = false;

    protected $fillable = ['exam_id', 'code', 'title'];

    /** @return BelongsTo<Exam, $this> */
    public function exam(): BelongsTo
    {
        return $this->belongsTo(Exam::class);
    }
}
