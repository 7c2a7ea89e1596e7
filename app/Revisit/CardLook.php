<?php

declare(strict_types=1);

namespace App\Revisit;

use Illuminate\Database\Eloquent\Model;
use Uplandia\Core\Revisit\Grade;

/**
 * One look at a card.
 *
 * @property string $card_id
 * @property string $uid made by the page: the same look sent again changes nothing
 * @property Grade $grade
 * @property int $at_ms
 * @property int $day the same as a count of days in the candidate's time zone at that time
 */
final class CardLook extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected function casts(): array
    {
        return ['grade' => Grade::class];
    }
}
