<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** What can happen in a sitting. */
enum EventKind: string
{
    case Started = 'started';
    case ReadingEnded = 'reading_ended';
    case Shown = 'shown';
    case Left = 'left';
    case Hidden = 'hidden';
    case Answered = 'answered';
    case Flagged = 'flagged';
    case Struck = 'struck';
    case Sureness = 'sureness';
    case Tried = 'tried';
    case Checked = 'checked';
    case Paused = 'paused';
    case Resumed = 'resumed';
    case BreakBegan = 'break_began';
    case BreakEnded = 'break_ended';
    case SectionBegan = 'section_began';
    case Waited = 'waited';
    case HandedIn = 'handed_in';
    case RubricMarked = 'rubric_marked';

    /** Whether it is about one question. */
    public function needsPosition(): bool
    {
        return match ($this) {
            self::Shown,
            self::Answered,
            self::Flagged,
            self::Struck,
            self::Sureness,
            self::Tried,
            self::Checked,
            self::RubricMarked => true,
            default => false,
        };
    }

    /** Whether a browser may say it; the rest is the server's. */
    public function isTheBrowsers(): bool
    {
        return match ($this) {
            self::Started, self::Waited, self::HandedIn, self::RubricMarked => false,
            default => true,
        };
    }
}
