<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;

/**
 * A question through all its versions.
 *
 * @property int $id
 * @property int $exam_id
 * @property int $topic_id
 * @property string $code
 * @property Kind $kind of the present version, as are topic and difficulty
 * @property Difficulty $difficulty
 * @property int|null $version_id the current version
 * @property-read Topic $topic
 */
final class Question extends Model
{
    protected $fillable = [
        'exam_id',
        'topic_id',
        'unit_id',
        'unit_place',
        'code',
        'kind',
        'difficulty',
        'version_id',
        'retired_at',
    ];

    protected function casts(): array
    {
        return ['kind' => Kind::class, 'difficulty' => Difficulty::class];
    }

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
