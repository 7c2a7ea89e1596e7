<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A question through all its versions.
 *
 * @property int $id
 * @property int $exam_id
 * @property int $topic_id
 * @property string $code
 * @property string $kind
 * @property string $difficulty
 * @property int|null $version_id the current version
 * @property-read Topic $topic
 */
final class Question extends Model
{
    protected $fillable = ['exam_id', 'topic_id', 'unit_id', 'unit_place', 'code', 'kind', 'difficulty', 'version_id', 'retired_at'];

    /** @return BelongsTo<Topic, $this> */
    public function topic(): BelongsTo
    {
        return $this->belongsTo(Topic::class);
    }

    /** @return HasMany<QuestionVersion, $this> */
    public function versions(): HasMany
    {
        return $this->hasMany(QuestionVersion::class);
    }
}
