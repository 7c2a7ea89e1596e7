<?php

declare(strict_types=1);

namespace Uplandia\Core\Plan;

/** When a candidate studies, and how fast. Days are counted from the first of January 1970, a Thursday. */
final readonly class Hours
{
    private const MS_PER_HOUR = 3_600_000;

    /** What a question takes before enough is known of the candidate: answering and reading. */
    public const USUAL_MS = 180_000;

    /** Answers from which one's own time is known. */
    public const KNOWN_FROM = 30;

    /**
     * @param  float  $week  hours of a whole week, more than 0
     * @param  list<int>  $weekdaysOff  1 (Monday) to 7; not all of them
     * @param  list<int>  $daysOff
     * @param  int  $questionMs  answering and reading, more than 0
     */
    public function __construct(
        public float $week,
        public array $weekdaysOff,
        public array $daysOff,
        public int $questionMs = self::USUAL_MS,
    ) {
    }

    public static function weekday(int $day): int
    {
        return 1 + ($day + 3) % 7;
    }

    /** The Monday of a day's week. */
    public static function monday(int $day): int
    {
        return $day - self::weekday($day) + 1;
    }

    public function isOff(int $day): bool
    {
        return in_array(self::weekday($day), $this->weekdaysOff, true) || in_array($day, $this->daysOff, true);
    }

    /** @return list<int> on which one studies, both ends included */
    public function days(int $from, int $to): array
    {
        $days = [];
        for ($day = $from; $day <= $to; $day++) {
            if (! $this->isOff($day)) {
                $days[] = $day;
            }
        }

        return $days;
    }

    /** A day's part of the week, in milliseconds: the hours are spread evenly over the weekdays that are not off. */
    public function dayMs(): float
    {
        return $this->week * self::MS_PER_HOUR / max(1, 7 - count($this->weekdaysOff));
    }
}
