<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Question\Candidacy;
use Illuminate\Database\Eloquent\Attributes\Scope;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Uplandia\Core\Revisit\CardFaces;
use Uplandia\Core\Revisit\Memory;
use Uplandia\Core\Revisit\Remembered;
use Uplandia\Core\Revisit\Repetition;
use Uplandia\Core\Revisit\Scheduler;

/**
 * A candidate's card. When it comes back is worked out from its looks, as a question's is from its answers; what they
 * come to is kept beside it. Days are counts of days in the candidate's time zone.
 *
 * @property string $id
 * @property int $user_id
 * @property int $exam_id
 * @property int|null $question_id the question it was made from
 * @property string|null $section code of the page of the handbook it was made from
 * @property string $front
 * @property string $back
 * @property bool $suspended
 * @property int $looks how many there were
 * @property float|null $stability as of remembered_day; null: it was never looked at
 * @property int|null $remembered_day
 * @property int $due_day before the exam's date has its say
 * @property int $made_day
 * @property int $made_ms
 */
final class Card extends Model
{
    use HasUlids;

    /** A digit more and a database would not keep it. */
    private const DIGITS = 6;

    public $timestamps = false;

    protected $guarded = [];

    protected $attributes = ['suspended' => false, 'looks' => 0, 'stability' => null, 'remembered_day' => null];

    /** @return HasMany<CardLook, $this> in the order they came */
    public function lookedAt(): HasMany
    {
        return $this->hasMany(CardLook::class)->orderBy('at_ms')->orderBy('id');
    }

    /** @param  Builder<self>  $cards */
    #[Scope]
    protected function ofCandidate(Builder $cards, Candidacy $candidacy): void
    {
        $cards->where($candidacy->key());
    }

    public function faces(): CardFaces
    {
        return CardFaces::of($this->front, $this->back);
    }

    /**
     * What its looks come to. Writes nothing.
     *
     * @return array{looks: int, stability: float|null, remembered_day: int|null, due_day: int}
     */
    public function project(): array
    {
        $looks = array_values($this->lookedAt()->get()->map(
            fn (CardLook $look): Repetition => new Repetition($look->day, $look->grade),
        )->all());
        $remembered = Remembered::after($looks);

        return [
            'looks' => count($looks),
            'stability' => $remembered === null ? null : round($remembered->memory->stability, self::DIGITS),
            'remembered_day' => $remembered?->day,
            'due_day' => $remembered?->dueDay() ?? $this->made_day,
        ];
    }

    /** @return float|null the chance that it is still known; null: it was never looked at */
    public function recall(int $today): ?float
    {
        return $this->stability === null
            ? null
            : Scheduler::recall(new Memory($this->stability, difficulty: 1), $today - (int) $this->remembered_day);
    }

    protected function casts(): array
    {
        return ['suspended' => 'boolean', 'stability' => 'float'];
    }
}
