<?php

declare(strict_types=1);

namespace App\Sitting;

/** A sitting with a clock that still asks its questions. */
final readonly class RunningSitting
{
    /** @param  int  $began  Unix milliseconds */
    public function __construct(public string $test, public string $name, public int $began)
    {
    }

    /**
     * Whether it keeps back what came of an answer to one of its questions: what was settled before it began was told
     * then.
     *
     * @param  int  $settled  Unix milliseconds
     */
    public function withholds(int $settled): bool
    {
        return $this->began < $settled;
    }

    public function earlier(self $other): self
    {
        return $other->began < $this->began ? $other : $this;
    }
}
