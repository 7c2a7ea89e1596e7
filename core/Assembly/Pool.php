<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Uplandia\Core\Marking\Outcome;

/**
 * Question pools as the candidate sees them. By the latest outcome every live question is in exactly one of the first
 * six; of the others it may be in any number.
 */
enum Pool: string
{
    case NewToMe = 'new';
    case GotIt = 'got_it';
    case Partly = 'partly';
    case Missed = 'missed';
    case LeftBlank = 'left_blank';
    case ToBeMarked = 'to_be_marked';
    case Flagged = 'flagged';
    case Starred = 'starred';
    case WithNotes = 'with_notes';
    case FalseFooting = 'false_footing';
    case InGapBook = 'in_gap_book';
    case Due = 'due';

    /** The pool that a latest outcome puts a question into; what was not reached stays new. */
    public static function ofOutcome(?Outcome $outcome): self
    {
        return match ($outcome) {
            Outcome::Right => self::GotIt,
            Outcome::Partly => self::Partly,
            Outcome::Missed => self::Missed,
            Outcome::LeftBlank => self::LeftBlank,
            Outcome::Pending => self::ToBeMarked,
            Outcome::NotReached, null => self::NewToMe,
        };
    }

    /** The latest outcome that puts a question here; null: the pool is of what is new, or goes by a mark. */
    public function outcome(): ?Outcome
    {
        foreach (Outcome::cases() as $outcome) {
            if ($outcome !== Outcome::NotReached && self::ofOutcome($outcome) === $this) {
                return $outcome;
            }
        }

        return null;
    }

    public function words(): string
    {
        return match ($this) {
            self::NewToMe => 'new to me',
            self::GotIt => 'got it',
            self::Partly => 'partly',
            self::Missed => 'missed',
            self::LeftBlank => 'left blank',
            self::ToBeMarked => 'to be marked',
            self::Flagged => 'flagged',
            self::Starred => 'starred',
            self::WithNotes => 'with notes',
            self::FalseFooting => 'false footing',
            self::InGapBook => 'in my gap book',
            self::Due => 'due to revisit',
        };
    }
}
