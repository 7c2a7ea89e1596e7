<?php

declare(strict_types=1);

namespace App\Http;

use RuntimeException;

/** A request that was understood and cannot be met; the sentence says what to do. */
final class Refusal extends RuntimeException
{
    private function __construct(string $sentence, public readonly int $status, public readonly string $reason)
    {
        parent::__construct($sentence);
    }

    public static function conflict(string $reason, string $sentence): self
    {
        return new self($sentence, 409, $reason);
    }

    public static function unmet(string $reason, string $sentence): self
    {
        return new self($sentence, 422, $reason);
    }

    public static function notHandedIn(): self
    {
        return self::conflict('not_handed_in', 'This sitting has not been handed in yet.');
    }

    public static function notFound(): self
    {
        return new self('There is nothing here.', 404, 'not_found');
    }
}
