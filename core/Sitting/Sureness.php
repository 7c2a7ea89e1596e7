<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** How sure the candidate says they are. */
enum Sureness: string
{
    case Sure = 'sure';
    case Leaning = 'leaning';
    case Guess = 'guess';
}
