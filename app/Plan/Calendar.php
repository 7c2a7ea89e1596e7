<?php

declare(strict_types=1);

namespace App\Plan;

use App\Clock\Moment;
use DateTimeZone;
use Psr\Clock\ClockInterface;
use Sabre\VObject\Component\VCalendar;
use Uplandia\Core\Plan\Hours;
use Uplandia\Core\Shown;

/**
 * A plan as a calendar that others can open: whole days of weeks, rehearsals and the exam. Source: RFC 5545.
 * The same week of the same exam keeps its id, so a calendar that reads it anew does not show it twice.
 */
final readonly class Calendar
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function of(PlanView $plan): string
    {
        $calendar = new VCalendar([
            'PRODID' => '-//Uplandia//Plan//EN',
            'X-WR-CALNAME' => "Uplandia: {$plan->examName}",
        ]);
        foreach ($plan->weeks as $week) {
            $monday = self::compact(Hours::monday(Moment::dayOf($week->from)));
            $this->add($calendar, [
                'id' => "week-{$monday}-{$plan->exam}",
                'from' => $week->from,
                'to' => $week->to,
                'title' => 'Study: '.self::short($week),
                'about' => self::about($week),
            ]);
            if ($week->rehearsal !== null) {
                $this->add($calendar, [
                    'id' => "rehearsal-{$monday}-{$plan->exam}",
                    'from' => $week->rehearsal,
                    'to' => $week->rehearsal,
                    'title' => "Rehearse the {$plan->examName}",
                    'about' => 'The whole exam under its rules.',
                ]);
            }
        }
        if ($plan->examDate !== null) {
            $this->add($calendar, [
                'id' => "exam-{$plan->exam}",
                'from' => $plan->examDate,
                'to' => $plan->examDate,
                'title' => $plan->examName,
                'about' => 'The exam.',
            ]);
        }

        return $calendar->serialize();
    }

    /** @param  array{id: string, from: string, to: string, title: string, about: string}  $event  both days count */
    private function add(VCalendar $calendar, array $event): void
    {
        $made = $calendar->createComponent('VEVENT', [
            'UID' => "{$event['id']}@uplandia",
            'DTSTAMP' => $this->clock->now()->setTimezone(new DateTimeZone('UTC')),
            'SUMMARY' => $event['title'],
            'DESCRIPTION' => $event['about'],
            // They take hours of the day, not the day.
            'TRANSP' => 'TRANSPARENT',
        ]);
        $made->add('DTSTART', self::compact(Moment::dayOf($event['from'])), ['VALUE' => 'DATE']);
        // The end of whole days is the day after them.
        $made->add('DTEND', self::compact(Moment::dayOf($event['to']) + 1), ['VALUE' => 'DATE']);
        $calendar->add($made);
    }

    /** A day as iCalendar writes it: 20260531. */
    private static function compact(int $day): string
    {
        return str_replace('-', '', Moment::date($day));
    }

    private static function short(PlanWeekView $week): string
    {
        $n = $week->revisits + self::sum($week->new) + self::sum($week->weak);

        return Shown::count($n, 'question', 'questions').($week->rehearsal === null ? '' : ' and a rehearsal');
    }

    private static function about(PlanWeekView $week): string
    {
        $named = fn (array $parts): string => implode(', ', array_map(
            fn (PlanPartView $part): string => "{$part->name} {$part->questions}",
            $parts,
        ));

        return implode("\n", array_filter([
            $week->revisits > 0 ? Shown::count($week->revisits, 'revisit', 'revisits') : '',
            $week->new === [] ? '' : 'New: '.$named($week->new),
            $week->weak === [] ? '' : 'Where most is at stake: '.$named($week->weak),
            sprintf('%.1F hours in all.', $week->plannedMs / 3_600_000),
        ]));
    }

    /** @param  list<PlanPartView>  $parts */
    private static function sum(array $parts): int
    {
        return array_sum(array_map(fn (PlanPartView $part): int => $part->questions, $parts));
    }
}
