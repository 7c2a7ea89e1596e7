<?php

declare(strict_types=1);

namespace App\Assembly;

use Illuminate\Database\Eloquent\Model;
use Uplandia\Core\Assembly\Mode;

/**
 * One test of an author's series, as the author has it.
 *
 * @property int $id
 * @property int $series_id
 * @property string $code
 * @property string $title
 * @property int $position
 * @property Mode $mode
 * @property int|null $minutes
 * @property int|null $attempts how often each candidate may sit it; null: as often as they like
 */
final class SeriesTest extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['mode' => Mode::class];
    }
}
