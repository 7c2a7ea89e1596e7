<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Candidacy;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Uplandia\Core\Assembly\Recipe;

/**
 * A recipe as it is kept.
 *
 * @property string $id
 * @property int $user_id
 * @property int $exam_id
 * @property string|null $name null: not kept under a name
 * @property int $version
 * @property array<string, mixed> $choices
 */
final class SavedRecipe extends Model
{
    use HasUlids;

    protected $table = 'recipes';

    protected $fillable = ['user_id', 'exam_id', 'name', 'version', 'choices'];

    /** What a test is built from, kept without a name. */
    public static function behind(Candidacy $candidacy, Recipe $recipe): self
    {
        return self::query()->create([
            ...$candidacy->key(),
            'version' => Recipe::VERSION,
            'choices' => $recipe->toArray(),
        ]);
    }

    public function recipe(): Recipe
    {
        return Recipe::of($this->choices);
    }

    protected function casts(): array
    {
        return ['choices' => 'array'];
    }
}
