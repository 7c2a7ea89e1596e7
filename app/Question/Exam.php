<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Uplandia\Core\Assembly\Blueprint;

/**
 * @property int $id
 * @property string $slug
 * @property string $name
 * @property string $summary
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

    /** How the real exam is made up. */
    public function blueprint(): Blueprint
    {
        return Blueprint::of($this->rules);
    }

    public function getRouteKeyName(): string
    {
        return 'slug';
    }

    protected function casts(): array
    {
        return ['rules' => 'array'];
    }
}
