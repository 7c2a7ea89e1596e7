<?php

declare(strict_types=1);

namespace App\Assembly;

/** Question pools as the candidate sees them. */
enum Pool: string
{
    case NewToMe = 'new';
    case GotIt = 'got_it';
    case Partly = 'partly';
    case Missed = 'missed';
    case LeftBlank = 'left_blank';
    case Flagged = 'flagged';

    /** The latest outcome that puts a question here; null: the pool goes by something else. */
    public function outcome(): ?string
    {
        return match ($this) {
            self::GotIt => 'right',
            self::Partly => 'partly',
            self::Missed => 'missed',
            self::LeftBlank => 'left_blank',
            self::NewToMe, self::Flagged => null,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::NewToMe => 'new to me',
            self::GotIt => 'got it',
            self::Partly => 'partly',
            self::Missed => 'missed',
            self::LeftBlank => 'left blank',
            self::Flagged => 'flagged',
        };
    }
}
