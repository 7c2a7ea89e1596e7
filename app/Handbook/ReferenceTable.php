<?php

declare(strict_types=1);

namespace App\Handbook;

use Illuminate\Database\Eloquent\Model;

/**
 * A sheet that lies on the desk during a sitting: a table or a list of formulas.
 *
 * @property int $id
 * @property int $exam_id
 * @property string $code
 * @property string $title
 * @property string $body Markdown
 * @property int $position
 */
final class ReferenceTable extends Model
{
    public $timestamps = false;

    protected $fillable = ['exam_id', 'code', 'title', 'body', 'position'];
}
