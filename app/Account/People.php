<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;
use SensitiveParameter;

/**
 * Who can come in through a door, whichever it is: a password, a letter, a session from before. The demo's people can
 * only while the demo is on, and the made-up cohort never.
 */
final class People extends EloquentUserProvider
{
    /** @param  bool  $shared  whether the people of the demo are among them */
    public function __construct(Hasher $hasher, bool $shared)
    {
        parent::__construct($hasher, User::class);
        $this->withQuery(fn (Builder $query): Builder => $query->where(
            fn (Builder $people): Builder => $shared
                ? $people->whereNull('made_up_as')->orWhere('made_up_as', 'not like', 'cohort-%')
                : $people->whereNull('made_up_as'),
        ));
    }

    /** @param  array<string, mixed>  $credentials */
    public function retrieveByCredentials(#[SensitiveParameter] array $credentials): ?User
    {
        $found = parent::retrieveByCredentials($credentials);
        if ($found instanceof User) {
            return $found;
        }
        // An address that nobody has costs as much as one that somebody has.
        $this->hasher->make(Str::random(16));

        return null;
    }
}
