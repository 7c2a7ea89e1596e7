<?php

declare(strict_types=1);

namespace App\Assembly;

use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;

/**
 * The saved choices from which a test is built.
 *
 * @property string $id
 * @property array<string, mixed> $choices
 */
final class Recipe extends Model
{
    use HasUlids;

    protected $fillable = ['user_id', 'exam_id', 'choices'];

    protected function casts(): array
    {
        return ['choices' => 'array'];
    }
}
