<?php

declare(strict_types=1);

namespace App\Library;

/** What a candidate does to some words of a question. */
enum HighlightKind: string
{
    case Marked = 'marked';
    case Struck = 'struck';
}
