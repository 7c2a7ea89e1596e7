<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Support\Facades\DB;

/** Deletes a person with all that is theirs, and nothing that is another's. */
final class Leaving
{
    public function of(User $user): void
    {
        DB::transaction(function () use ($user): void {
            DB::table('password_reset_tokens')->where('email', $user->email)->delete();
            DB::table('sittings')->where('user_id', $user->id)->delete();
            // A test that somebody else sits stays with them; it only loses its maker.
            DB::table('tests')
                ->where('user_id', $user->id)
                ->whereNotExists(fn ($others) => $others->from('sittings')
                    ->whereColumn('sittings.test_id', 'tests.id'))
                ->delete();
            // What else belongs to a person hangs on this row with ON DELETE CASCADE.
            $user->delete();
        });
    }
}
