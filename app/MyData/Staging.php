<?php

declare(strict_types=1);

namespace App\MyData;

use App\Account\Leaving;
use App\Account\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;

/**
 * Somebody who is nobody, in whose name an archive is taken in, a little at a time, so that nobody else has to wait
 * for the whole. Once all of it is there it becomes the person's at once; if it cannot, it goes as if it had never
 * been.
 */
final readonly class Staging
{
    /** Nobody receives a letter there (RFC 2606), so nobody has an account there. */
    private const ADDRESS = '@archive.invalid';

    /** What is left of a server that was killed in the middle is cleared away after this. */
    private const OLD = '-1 hour';

    public function __construct(private Leaving $leaving, private ClockInterface $clock)
    {
    }

    public function begin(User $for): User
    {
        $left = User::query()
            ->where('email', 'like', '%'.self::ADDRESS)
            ->where('created_at', '<', $this->clock->now()->modify(self::OLD));
        foreach ($left->get() as $old) {
            $this->leaving->of($old);
        }

        return User::query()->create([
            'name' => 'An archive',
            'email' => strtolower((string) Str::ulid()).self::ADDRESS,
            'password' => Str::random(40),
            'extra_time' => $for->extra_time,
        ])->refresh();
    }

    public function becomes(User $staged, User $user): void
    {
        foreach (self::tables() as $table) {
            DB::table($table)->where('user_id', $staged->id)->update(['user_id' => $user->id]);
        }
        $staged->delete();
    }

    public function clear(User $staged): void
    {
        $this->leaving->of($staged);
    }

    /** @return list<string> all in which rows are somebody's */
    private static function tables(): array
    {
        $schema = DB::getSchemaBuilder();
        $names = array_column($schema->getTables(), 'name');

        return array_values(array_filter($names, fn (string $table): bool => $schema->hasColumn($table, 'user_id')));
    }
}
