<?php

declare(strict_types=1);

namespace App\Handbook;

use Illuminate\Database\Eloquent\Model;

/**
 * A section of the study text that rationales refer to.
 *
 * @property int $id
 * @property int $exam_id
 * @property string $code
 * @property string $chapter
 * @property string $title
 * @property string $body Markdown
 * @property list<array{title: string, body: string}>|null $lesson the same as steps; null: it is a page only
 * @property int $position
 */
final class HandbookSection extends Model
{
    public $timestamps = false;

    protected $fillable = ['exam_id', 'code', 'chapter', 'title', 'body', 'lesson', 'position'];

    protected function casts(): array
    {
        return ['lesson' => 'array'];
    }
}
