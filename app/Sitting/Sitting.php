<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\Test;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Uplandia\Core\Sitting\Item;
use Uplandia\Core\Sitting\Mode;
use Uplandia\Core\Sitting\Terms;

/**
 * One candidate's run through one test. Columns that end in _ms are Unix milliseconds or durations in milliseconds.
 *
 * @property string $id
 * @property int $user_id
 * @property int $exam_id
 * @property string $test_id
 * @property string $status not_started, open or handed_in
 * @property string $extra_time
 * @property string|null $pen the tab that may write
 * @property int|null $started_ms
 * @property int|null $contact_ms
 * @property int|null $deadline_ms
 * @property int|null $ended_ms
 * @property int $active_ms
 * @property bool $by_clock
 * @property int $questions
 * @property int $answered
 * @property string|null $marks
 * @property string|null $possible
 * @property-read Test $test
 */
final class Sitting extends Model
{
    use HasUlids;

    protected $fillable = ['user_id', 'exam_id', 'test_id', 'status', 'extra_time', 'pen', 'started_ms', 'contact_ms', 'deadline_ms', 'ended_ms', 'active_ms', 'by_clock', 'questions', 'answered', 'marks', 'possible'];

    /** @return BelongsTo<Test, $this> */
    public function test(): BelongsTo
    {
        return $this->belongsTo(Test::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    public function isHandedIn(): bool
    {
        return $this->status === 'handed_in';
    }

    /** The rules it is sat under, extra time included. Needs the test. */
    public function terms(): Terms
    {
        $series = $this->test->series ?? [];
        $items = array_map(fn (int $position): Item => new Item(0, $series[$position] ?? null), range(0, $this->questions - 1));

        return (new Terms(Mode::from($this->test->mode), $items, $this->test->limit_ms))->withExtraTime($this->extra_time);
    }

    protected function casts(): array
    {
        return ['by_clock' => 'boolean', 'started_ms' => 'integer', 'contact_ms' => 'integer', 'deadline_ms' => 'integer', 'ended_ms' => 'integer', 'active_ms' => 'integer'];
    }
}
