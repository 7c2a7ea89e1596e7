<?php

declare(strict_types=1);

namespace App\Library;

final readonly class CloseWordView
{
    /** @param  int  $n  Questions of the exam in which it is found. */
    public function __construct(public string $word, public int $n)
    {
    }
}
