<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** What came of changing an answer: the first one against the last. Source: computation.md, section 5. */
enum Change: string
{
    case ToRight = 'to_right';
    case ToWrong = 'to_wrong';
    case StillWrong = 'still_wrong';

    /** Null where nothing was changed, where either is not marked, and where right stayed right. */
    public static function of(QuestionResult $result): ?self
    {
        if ($result->changes === 0 || $result->firstCredit?->share === null || $result->credit->share === null) {
            return null;
        }
        // Right means full credit: a half-right answer that was mended counts as wrong before.
        $before = $result->firstCredit->share->isEqualTo(1);
        $after = $result->credit->share->isEqualTo(1);

        return match (true) {
            ! $before && $after => self::ToRight,
            $before && ! $after => self::ToWrong,
            ! $before => self::StillWrong,
            default => null,
        };
    }
}
