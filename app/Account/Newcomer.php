<?php

declare(strict_types=1);

namespace App\Account;

use App\Http\Refusal;
use Illuminate\Contracts\Encryption\DecryptException;
use Illuminate\Support\Facades\Crypt;

/** Somebody who has asked for an account and not yet shown that the address is theirs. Nothing is stored of them. */
final readonly class Newcomer
{
    public const LINK_LASTS_MS = 24 * 3600 * 1000;

    private function __construct(public string $name, public string $email, private int $until)
    {
    }

    public static function asking(string $name, string $email, int $now): self
    {
        return new self($name, $email, $now + self::LINK_LASTS_MS);
    }

    /** Unix milliseconds. */
    public function askedAt(): int
    {
        return $this->until - self::LINK_LASTS_MS;
    }

    /** What the letter's link carries: only this server can make or read it. */
    public function token(): string
    {
        return Crypt::encryptString(json_encode([$this->name, $this->email, $this->until], JSON_THROW_ON_ERROR));
    }

    /** @throws Refusal */
    public static function of(string $token, int $now): self
    {
        try {
            [$name, $email, $until] = (array) json_decode(Crypt::decryptString($token), true) + ['', '', 0];
        } catch (DecryptException) {
            throw self::stale();
        }
        if (! is_string($name) || ! is_string($email) || ! is_int($until) || $until < $now || $email === '') {
            throw self::stale();
        }

        return new self($name, $email, $until);
    }

    public static function stale(): Refusal
    {
        return Refusal::unmet(
            'stale_link',
            'This link has been used, or is more than a day old. Sign in, or ask for an account again.',
        );
    }
}
