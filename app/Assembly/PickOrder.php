<?php

declare(strict_types=1);

namespace App\Assembly;

/** What a list of questions to pick from is sorted by. */
enum PickOrder: string
{
    case Topic = 'topic';
    case Stem = 'stem';
    case Kind = 'kind';
    case Difficulty = 'difficulty';
    case Outcome = 'outcome';
}
