<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\SeriesTest;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That a sitting was a candidate's attempt at a test of a series. It stays when the sitting goes.
 *
 * @property int $series_test_id
 * @property int $user_id
 * @property int $number
 * @property string|null $sitting_id
 * @property-read Sitting|null $sitting also one that is deleted and can be had back
 * @property-read SeriesTest $test
 */
final class SeriesAttempt extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = [];

    /** @return BelongsTo<Sitting, $this> */
    public function sitting(): BelongsTo
    {
        return $this->belongsTo(Sitting::class)->withTrashed();
    }

    /** @return BelongsTo<SeriesTest, $this> */
    public function test(): BelongsTo
    {
        return $this->belongsTo(SeriesTest::class, 'series_test_id');
    }

    /** @return Builder<self> */
    public static function at(int $test, int $user): Builder
    {
        return self::query()->where('series_test_id', $test)->where('user_id', $user);
    }
}
