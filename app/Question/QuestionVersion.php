<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use LogicException;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Question as CoreQuestion;

/**
 * A question as it was at one time. Never changed: an edit makes the next version, and past sittings keep theirs.
 *
 * @property int $id
 * @property int $question_id
 * @property int|null $unit_version_id
 * @property int $number
 * @property int $topic_id
 * @property Kind $kind
 * @property Difficulty $difficulty
 * @property array<string, string> $tags
 * @property string $marks
 * @property array<string, mixed> $shown what a candidate may see
 * @property array<string, mixed> $withheld keys, reasons, evidence
 * @property-read Question $question
 */
final class QuestionVersion extends Model
{
    public $timestamps = false;

    protected $fillable = [
        'question_id',
        'unit_version_id',
        'number',
        'topic_id',
        'kind',
        'difficulty',
        'tags',
        'marks',
        'shown',
        'withheld',
        'created_at',
    ];

    protected static function booted(): void
    {
        self::updating(fn () => throw new LogicException('A question version is never changed: make the next one.'));
    }

    /** @return BelongsTo<Question, $this> */
    public function question(): BelongsTo
    {
        return $this->belongsTo(Question::class);
    }

    /** The question as the core marks it. */
    public function forMarking(): CoreQuestion
    {
        return CoreQuestion::of($this->kind, $this->shown, $this->withheld);
    }

    protected function casts(): array
    {
        return [
            'kind' => Kind::class,
            'difficulty' => Difficulty::class,
            'tags' => 'array',
            'shown' => 'array',
            'withheld' => 'array',
        ];
    }
}
