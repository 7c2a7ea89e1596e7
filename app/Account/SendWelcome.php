<?php

declare(strict_types=1);

namespace App\Account;

use App\Clock\Moment;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Psr\Clock\ClockInterface;

/** The letter to whoever asked for an account: who they are, the letter alone tells, to its owner. */
final class SendWelcome implements ShouldQueue
{
    use Queueable;
    use TriesForADay;

    public function __construct(private readonly string $name, private readonly string $email)
    {
    }

    public function handle(Letters $letters, ClockInterface $clock): void
    {
        User::query()->where('email', $this->email)->exists()
            ? $letters->alreadyKnown($this->email)
            : $letters->welcome(Newcomer::asking(
                name: $this->name,
                email: $this->email,
                now: Moment::now($clock),
            ));
    }
}
