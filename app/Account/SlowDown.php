<?php

declare(strict_types=1);

namespace App\Account;

use Illuminate\Contracts\Cache\Repository;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Slows down whoever guesses passwords, and shuts nobody out for good. After a few wrong ones from one place for one
 * account each further try there has to wait, longer every time. After many for one account from anywhere, so does
 * every place that has guessed wrong once; the first try from a place is always free, so that whoever knows the
 * password comes in whatever others do.
 */
final readonly class SlowDown
{
    /** Free wrong tries, and the longest wait in seconds: of one place with one account, and of an account in all. */
    private const PLACE = [5, 900];

    private const ACCOUNT = [20, 60];

    /** So long after the last wrong one all is forgotten. */
    private const FORGOTTEN_S = 3600;

    public function __construct(private Repository $cache, private ClockInterface $clock)
    {
    }

    /**
     * @param  string  $account  address or id, whether there is one or not
     *
     * @throws TooManyRequestsHttpException with how long to wait
     */
    public function refuseTooSoon(string $account, string $place): void
    {
        [$wrong, $last] = $this->read($this->place($account, $place));
        if ($wrong === 0) {
            return;
        }
        [$all, $latest] = $this->read($this->account($account));
        $wait = max(
            $last + self::wait($wrong, self::PLACE) - $this->now(),
            $latest + self::wait($all, self::ACCOUNT) - $this->now(),
        );
        if ($wait > 0) {
            $how = $wait < 90 ? "{$wait} seconds" : (int) ceil($wait / 60).' minutes';
            throw new TooManyRequestsHttpException(
                $wait,
                "That was not right a few times. Wait {$how}, then try again; or ask for a new password.",
            );
        }
    }

    public function wrong(string $account, string $place): void
    {
        foreach ([$this->place($account, $place), $this->account($account)] as $key) {
            $this->cache->put($key, [$this->read($key)[0] + 1, $this->now()], self::FORGOTTEN_S);
        }
    }

    public function right(string $account, string $place): void
    {
        $this->cache->forget($this->place($account, $place));
    }

    /** @param  array{int, int}  $terms */
    private static function wait(int $wrong, array $terms): int
    {
        [$free, $longest] = $terms;

        return $wrong < $free ? 0 : (int) min($longest, 2 ** min(20, $wrong - $free));
    }

    /** @return array{int, int} how many wrong ones, and when the last was */
    private function read(string $key): array
    {
        $kept = $this->cache->get($key);
        [$wrong, $last] = is_array($kept) ? [...array_values($kept), 0, 0] : [0, 0];

        return [is_int($wrong) ? $wrong : 0, is_int($last) ? $last : 0];
    }

    private function place(string $account, string $place): string
    {
        return 'wrong:'.hash('sha256', "{$account}\n{$place}");
    }

    private function account(string $account): string
    {
        return 'wrong:'.hash('sha256', $account);
    }

    private function now(): int
    {
        return $this->clock->now()->getTimestamp();
    }
}
