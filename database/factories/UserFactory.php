<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Account\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/** @extends Factory<User> */
final class UserFactory extends Factory
{
    protected $model = User::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        static $n = 0;
        $n++;

        return ['name' => "Walker {$n}", 'email' => "walker{$n}@corvane.example", 'password' => 'a long walk uphill'];
    }
}
