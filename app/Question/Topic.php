<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Eloquent\Model;

/**
 * A topic of the blueprint, or a subtopic of one. Questions hang on subtopics.
 *
 * @property int $id
 * @property int $exam_id
 * @property int|null $parent_id
 * @property string $code
 * @property string $name
 * @property string|null $weight
 * @property int $position
 */
final class Topic extends Model
{
    public $timestamps = false;

    protected $fillable = ['exam_id', 'parent_id', 'code', 'name', 'weight', 'position'];
}
