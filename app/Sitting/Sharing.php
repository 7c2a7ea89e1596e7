<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\Test;
use App\Database\Lock;
use App\Http\Refusal;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Tests that others may sit too, by a code. Who sits one can say whether they may be compared. */
final readonly class Sharing
{
    /** Without signs that are taken for one another. */
    private const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';

    private const LENGTH = 8;

    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * The code of a test of one's own; asked for twice, it is the same.
     *
     * @throws Refusal
     */
    public function share(Sitting $sitting): string
    {
        $test = $sitting->test;
        if ($test->user_id !== $sitting->user_id) {
            throw Refusal::conflict(
                'not_yours',
                'Only whoever made a test can share it. Papers and series can be sat by everybody without a code.',
            );
        }

        $test->refuseAdaptive('Each question of an adaptive test depends on the answer before, so it cannot be shared.');

        return Lock::test($test->id, function () use ($sitting, $test): string {
            $row = DB::table('shared_tests')->where('test_id', $test->id)->first();
            $code = $row === null ? $this->code() : (string) $row->code;
            DB::table('shared_tests')->upsert(
                [
                    'test_id' => $test->id,
                    'user_id' => $sitting->user_id,
                    'code' => $code,
                    'closed_at' => null,
                    'created_at' => $this->clock->now(),
                    'updated_at' => $this->clock->now(),
                ],
                ['test_id'],
                ['closed_at', 'updated_at'],
            );
            $this->joins($test->id, $sitting);

            return $code;
        });
    }

    /** From now on nobody joins by its code any more; who has joined stays. */
    public function close(Sitting $sitting): void
    {
        DB::table('shared_tests')
            ->where('test_id', $sitting->test_id)
            ->where('user_id', $sitting->user_id)
            ->update(['closed_at' => $this->clock->now(), 'updated_at' => $this->clock->now()]);
    }

    /**
     * A sitting of the test behind a code; whoever has joined before gets theirs again.
     *
     * @throws Refusal
     */
    public function join(User $user, string $code): Sitting
    {
        $shared = DB::table('shared_tests')->where('code', self::read($code))->value('test_id');
        if (! is_string($shared)) {
            throw Refusal::unmet('unknown_code', 'There is no test with this code. Look at it once more.');
        }

        return Lock::test($shared, function () use ($user, $shared): Sitting {
            // It may have been closed since.
            $row = DB::table('shared_tests')->where('test_id', $shared)->first() ?? throw Refusal::notFound();
            $mine = DB::table('shared_sittings')
                ->join('sittings', 'sittings.id', '=', 'shared_sittings.sitting_id')
                ->where('shared_sittings.test_id', $row->test_id)
                ->where('shared_sittings.user_id', $user->id)
                ->whereNull('sittings.deleted_at')
                ->value('sittings.id');
            if (is_string($mine)) {
                return Sitting::query()->findOrFail($mine);
            }
            if ($row->closed_at !== null) {
                throw Refusal::conflict('closed_code', 'This code is closed: whoever shared the test has ended it.');
            }
            $sitting = Sitting::createFor(Test::query()->whereKey($row->test_id)->firstOrFail(), $user);
            $this->joins((string) $row->test_id, $sitting);

            return $sitting;
        });
    }

    /**
     * Whether this sitting may be compared with the others of its test.
     *
     * @throws Refusal when it is no sitting of a shared test
     */
    public function agree(Sitting $sitting, bool $agrees): void
    {
        $changed = DB::table('shared_sittings')
            ->where('test_id', $sitting->test_id)
            ->where('user_id', $sitting->user_id)
            ->update(['agrees' => $agrees, 'updated_at' => $this->clock->now()]);
        if ($changed === 0) {
            throw Refusal::conflict('not_shared', 'This test is not shared, so there is nobody to be compared with.');
        }
    }

    private function joins(string $test, Sitting $sitting): void
    {
        DB::table('shared_sittings')->upsert(
            [
                'test_id' => $test,
                'user_id' => $sitting->user_id,
                'sitting_id' => $sitting->id,
                'agrees' => false,
                'created_at' => $this->clock->now(),
                'updated_at' => $this->clock->now(),
            ],
            ['test_id', 'user_id'],
            ['sitting_id', 'updated_at'],
        );
    }

    /** As it may be typed: small, with spaces or hyphens. */
    private static function read(string $code): string
    {
        return strtoupper((string) preg_replace('/[\s-]+/', '', $code));
    }

    private function code(): string
    {
        // Of the system's own chance: a code is all that keeps others out.
        do {
            $letters = array_map(
                fn (): string => self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)],
                range(1, self::LENGTH),
            );
            $code = implode('', $letters);
        } while (DB::table('shared_tests')->where('code', $code)->exists());

        return $code;
    }
}
