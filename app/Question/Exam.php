<?php

declare(strict_types=1);

namespace App\Question;

use App\Http\Refusal;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Uplandia\Core\Assembly\Blueprint;

/**
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $summary
 * @property float|null $cohort_deviation how far abilities spread in its cohort
 * @property array{cut: string, minutesPerQuestion: string, ...} $rules
 */
final class Exam extends Model
{
    protected $fillable = ['slug', 'name', 'summary', 'rules', 'position'];

    /** @return HasMany<Topic, $this> */
    public function topics(): HasMany
    {
        $topics = $this->hasMany(Topic::class);
        $topics->orderBy('position');

        return $topics;
    }

    /** Whether its author has said how the real exam is made up. */
    public function hasBlueprint(): bool
    {
        return isset($this->rules['sections']);
    }

    /**
     * How the real exam is made up.
     *
     * @throws Refusal when its author has not said
     */
    public function blueprint(): Blueprint
    {
        if (! $this->hasBlueprint()) {
            throw Refusal::conflict(
                'no_blueprint',
                'How the real exam is made up has not been written down here yet.',
            );
        }

        return Blueprint::of($this->rules);
    }

    /** Whether more options than a question asks for may be chosen, and then count nothing; as a rule they cannot. */
    public function voidsOverLimit(): bool
    {
        return ($this->rules['limit'] ?? null) === 'void';
    }

    /** @return list<string> how it is sat, as its authors put it */
    public function rulesInWords(): array
    {
        return array_values(array_filter((array) ($this->rules['words'] ?? []), is_string(...)));
    }

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    protected function casts(): array
    {
        return ['rules' => 'array', 'cohort_deviation' => 'float'];
    }
}
