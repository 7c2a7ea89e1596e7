<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** Whether somebody was fast or slow on a question, for them (`OwnTempo`). */
enum Tempo: string
{
    case Fast = 'fast';
    case Slow = 'slow';
}
