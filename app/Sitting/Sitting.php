<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\Test;
use App\Question\Candidacy;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Str;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Sitting\Terms;

/**
 * One candidate's run through one test. Columns that end in _ms are Unix milliseconds or durations in milliseconds.
 *
 * @property string $id
 * @property int $user_id
 * @property int $exam_id
 * @property string $test_id
 * @property string $name what its candidate calls it
 * @property Mode $mode how it is sat
 * @property bool $on_paper its answers come from paper
 * @property Stage $status
 * @property array<string, mixed>|null $terms frozen at its start
 * @property string $secret
 * @property string|null $pen the tab that may write
 * @property int|null $started_ms
 * @property int $reserve_ms what its candidate means to have left at the end
 * @property int|null $contact_ms
 * @property int|null $deadline_ms
 * @property int|null $ended_ms
 * @property int $active_ms
 * @property bool $by_clock
 * @property int $questions that are known: an adaptive test asks for them one by one
 * @property int $answered
 * @property string|null $packed_by the device that took it along, to go on without a connection
 * @property int|null $packed_ms when it did
 * @property int $revision how often it was written to
 * @property int $events how many it has
 * @property int $last_seq highest sequence of them
 * @property int $bytes what their values take
 * @property string|null $marks
 * @property string|null $possible
 * @property float|null $share
 * @property bool $counts
 * @property bool $in_cohort what came of it may count for others
 * @property bool $clocked some clock runs in it
 * @property string $note_title of what its candidate wrote of it as a whole
 * @property string $note that; empty: nothing
 * @property bool $waited time ran out while its device had no contact
 * @property-read Test $test
 * @property-read User $user
 */
final class Sitting extends Model
{
    use HasUlids;
    use SoftDeletes;

    /** @var array{string, Terms}|null as kept and as read: a save asks for them six times, and reads them once */
    private ?array $termsRead = null;

    protected $fillable = [
        'user_id',
        'exam_id',
        'test_id',
        'name',
        'mode',
        'on_paper',
        'reserve_ms',
        'status',
        'terms',
        'secret',
        'pen',
        'packed_by',
        'packed_ms',
        'started_ms',
        'contact_ms',
        'deadline_ms',
        'ended_ms',
        'active_ms',
        'by_clock',
        'questions',
        'answered',
        'revision',
        'events',
        'last_seq',
        'bytes',
        'marks',
        'possible',
        'share',
        'counts',
        'waited',
        'in_cohort',
        'clocked',
    ];

    /**
     * A sitting of a test that has not begun, named so that one tells it from the same sat before.
     *
     * @param  string|null  $like  what its candidate calls the one before; null: as the test is called
     */
    public static function createFor(Test $test, User $user, ?string $like = null): self
    {
        $plain = $like === null ? $test->title : (string) preg_replace('/ \(\d+\)$/', '', $like);
        $taken = self::query()
            ->where('user_id', $user->id)
            ->where('exam_id', $test->exam_id)
            ->whereRaw("name like ? escape '!'", [preg_replace('/[!%_]/', '!$0', $plain).'%'])
            ->pluck('name')
            ->all();
        for ($n = 1, $own = $plain; in_array($own, $taken, true); $own = "{$plain} ({$n})") {
            $n++;
        }

        return self::query()->create([
            'user_id' => $user->id,
            'exam_id' => $test->exam_id,
            'test_id' => $test->id,
            'name' => $own,
            'mode' => $test->mode,
            'on_paper' => false,
            'reserve_ms' => self::breakMs($test, $user),
            'questions' => $test->questions,
            'status' => Stage::NotStarted,
            'secret' => Str::random(32),
        ]);
    }

    /** A break does not stop the clock, so the pace plan keeps its time back until the candidate plans otherwise. */
    private static function breakMs(Test $test, User $user): int
    {
        $minutes = $test->loadMissing('exam')->blueprint()->breakMinutes ?? 0;

        return BigRational::of($user->extra_time)
            ->multipliedBy($minutes * Terms::MS_PER_MINUTE)
            ->toScale(0, RoundingMode::HALF_UP)
            ->toInt();
    }

    protected $attributes = [
        'revision' => 0, 'events' => 0, 'last_seq' => 0, 'bytes' => 0, 'note_title' => '', 'note' => '',
    ];

    public function candidacy(): Candidacy
    {
        return new Candidacy($this->user, $this->test->exam);
    }

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
        return $this->status === Stage::HandedIn;
    }

    public function hasBegun(): bool
    {
        return $this->termsAsKept() !== null;
    }

    /**
     * The rules it runs under. Before its start, those it would have if it began now; that needs test, exam and user.
     */
    public function terms(): Terms
    {
        $kept = $this->termsAsKept();
        if ($kept === null) {
            return TestTerms::of($this->test, $this->user, $this->on_paper);
        }
        if ($this->termsRead === null || $this->termsRead[0] !== $kept) {
            $this->termsRead = [$kept, Terms::fromArray((array) $this->terms)];
        }

        return $this->termsRead[1];
    }

    private function termsAsKept(): ?string
    {
        $kept = $this->attributes['terms'] ?? null;

        return is_string($kept) ? $kept : null;
    }

    /** @return list<int> of the questions that are known: an adaptive test asks for them one by one */
    public function positions(): array
    {
        return $this->questions === 0 ? [] : range(0, $this->questions - 1);
    }

    /** The chance that its orders are shuffled with. */
    public function seed(): Seed
    {
        return new Seed($this->secret);
    }

    protected function casts(): array
    {
        return [
            'status' => Stage::class,
            'mode' => Mode::class,
            'on_paper' => 'boolean',
            'reserve_ms' => 'integer',
            'packed_ms' => 'integer',
            'terms' => 'array',
            'by_clock' => 'boolean',
            'counts' => 'boolean',
            'waited' => 'boolean',
            'in_cohort' => 'boolean',
            'clocked' => 'boolean',
            'share' => 'float',
            'started_ms' => 'integer',
            'contact_ms' => 'integer',
            'deadline_ms' => 'integer',
            'ended_ms' => 'integer',
            'active_ms' => 'integer',
        ];
    }
}
