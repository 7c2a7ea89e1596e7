<?php

declare(strict_types=1);

namespace Tests\Feature\Clock;

use App\Clock\Moment;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\TestWith;
use Psr\Clock\ClockInterface;
use Tests\Feature\TestCase;

/** What time it is, and which day that is. */
final class ClockTest extends TestCase
{
    #[TestWith([true, 3, 3])]
    #[TestWith([true, 0, 0])]
    #[TestWith([true, -2, 0])]
    // Where others are served, nobody's clock goes ahead.
    #[TestWith([false, 3, 0])]
    public function test_only_a_server_of_the_demo_may_live_ahead(bool $demo, int $days, int $told): void
    {
        Carbon::setTestNow();
        config(['app.demo' => $demo, 'app.days_ahead' => $days]);
        $this->app->forgetInstance(ClockInterface::class);
        $now = app(ClockInterface::class)->now();
        self::assertEqualsWithDelta($told * 86_400, $now->getTimestamp() - time(), 5);
        // As the demo tells its people's past: a clock that was set from there is not set ahead once more.
        Carbon::setTestNow(Carbon::instance($now)->subDays(10));
        self::assertEquals($now->modify('-10 days'), app(ClockInterface::class)->now());
    }

    public function test_a_moment_is_told_in_utc_wherever_the_machine_stands(): void
    {
        $before = date_default_timezone_get();
        date_default_timezone_set('Pacific/Kiritimati');
        self::assertSame('2026-03-02T09:00:00Z', Moment::text(1_772_442_000_999));
        date_default_timezone_set($before);
    }

    public function test_a_date_is_a_day_and_a_day_is_a_date(): void
    {
        self::assertSame(20_454, Moment::dayOf('2026-01-01'));
        self::assertSame(0, Moment::dayOf('1970-01-01'));
        foreach (['2024-02-29', '2026-03-29', '2026-10-25', '2038-01-20'] as $date) {
            self::assertSame($date, Moment::date(Moment::dayOf($date)));
        }
        // Whatever time zone the machine is set to.
        $before = date_default_timezone_get();
        date_default_timezone_set('Pacific/Kiritimati');
        self::assertSame(20_454, Moment::dayOf('2026-01-01'));
        date_default_timezone_set($before);
    }
}
