<?php

declare(strict_types=1);

namespace App\Account;

use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Notifications\Notifiable;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property int|null $chosen_exam_id the exam chosen last
 * @property string $extra_time exact factor of every time limit
 * @property string|null $made_up_as key of a made-up demo person
 * @property string|null $about
 */
final class User extends Authenticatable
{
    /** @use HasFactory<UserFactory> */
    use HasFactory, Notifiable;

    protected $fillable = ['name', 'email', 'password', 'extra_time', 'chosen_exam_id'];

    protected $hidden = ['password', 'remember_token'];

    protected $attributes = [
        'role' => 'candidate',
        'extra_time' => '1',
        'made_up_as' => null,
        'about' => null,
        'chosen_exam_id' => null,
    ];

    protected function casts(): array
    {
        return ['password' => 'hashed', 'role' => Role::class];
    }

    protected static function newFactory(): UserFactory
    {
        return UserFactory::new();
    }
}
