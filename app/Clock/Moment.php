<?php

declare(strict_types=1);

namespace App\Clock;

use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;
use Psr\Clock\ClockInterface;

/** Unix milliseconds, in which sittings are timed, and whole days, in which revisits are. */
final class Moment
{
    public const MS_PER_DAY = 86_400_000;

    public static function of(DateTimeInterface $time): int
    {
        return (int) $time->format('Uv');
    }

    public static function now(ClockInterface $clock): int
    {
        return self::of($clock->now());
    }

    /** As others read it (RFC 3339). Example: 1772442000000 → "2026-03-02T09:00:00Z". */
    public static function text(int $ms): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', intdiv($ms, 1000));
    }

    /** The days from the first of January 1970 to the day that a moment falls on in a time zone. */
    public static function day(int $ms, string $timeZone): int
    {
        $local = (new DateTimeImmutable('@'.intdiv($ms, 1000)))->setTimezone(new DateTimeZone($timeZone));

        return intdiv($ms + 1000 * $local->getOffset(), self::MS_PER_DAY);
    }

    /** The day of a date. Example: "2026-01-01" → 20454. */
    public static function dayOf(string $date): int
    {
        return self::day(self::of(new DateTimeImmutable($date, new DateTimeZone('UTC'))), 'UTC');
    }

    /** A day as a name tells it, without its year. Example: 20454 → "1 Jan". */
    public static function short(int $day): string
    {
        return gmdate('j M', intdiv($day * self::MS_PER_DAY, 1000));
    }

    /**
     * The date of a day. Example: 20454 → "2026-01-01".
     *
     * @param  int  $day  from the first of January 1970
     */
    public static function date(int $day): string
    {
        return gmdate('Y-m-d', intdiv($day * self::MS_PER_DAY, 1000));
    }
}
