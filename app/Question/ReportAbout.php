<?php

declare(strict_types=1);

namespace App\Question;

/** What somebody tells the authors about a question. */
enum ReportAbout: string
{
    case WrongKey = 'wrong_key';
    case Unclear = 'unclear';
    case Outdated = 'outdated';
    case Broken = 'broken';
    case Other = 'other';
}
