<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** What can happen in a sitting. */
enum EventKind: string
{
    case Started = 'started';
    case Shown = 'shown';
    case Left = 'left';
    case Answered = 'answered';
    case Flagged = 'flagged';
    case Struck = 'struck';
    case Sureness = 'sureness';
    case Checked = 'checked';
    case Paused = 'paused';
    case Resumed = 'resumed';
    case BreakBegan = 'break_began';
    case BreakEnded = 'break_ended';
    case SectionBegan = 'section_began';
    case HandedIn = 'handed_in';
    case RubricMarked = 'rubric_marked';
}
