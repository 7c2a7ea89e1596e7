<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Feature\TestCase;

final class SittingsRecountTest extends TestCase
{
    public function test_a_snapshot_that_is_not_what_the_events_say_is_named(): void
    {
        $this->actingAs($this->candidate());
        $sitting = $this->build();
        $this->open($sitting);
        $this->answerOften($sitting, 10, 40);
        $old = DB::table('sitting_snapshots')->value('state');
        self::assertNotNull($old);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());

        $this->send($sitting, [['id' => 'f', 'seq' => 50, 'kind' => 'flagged', 'position' => 5, 'value' => true]]);
        $this->answerOften($sitting, 51, 90);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
        DB::table('sitting_snapshots')->update(['state' => $old]);
        self::assertSame(1, Artisan::call('recount'));
        self::assertStringContainsString('its snapshot is not what its events come to', Artisan::output());
        // One that cannot be read is no harm: all is folded anew.
        DB::table('sitting_snapshots')->update(['state' => 'nonsense']);
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    public function test_who_reads_on_after_a_check_changes_nothing_that_is_held_until_handing_in(): void
    {
        $this->actingAs($this->candidate());
        $sitting = $this->build(['mode' => 'tutor']);
        $this->open($sitting);
        $this->send($sitting, [['id' => 's', 'seq' => 1, 'kind' => 'shown', 'position' => 0]])->assertOk();
        $this->travel(5)->seconds();
        $this->send($sitting, [
            $this->answer(0, 'a', 2),
            ['id' => 'c', 'seq' => 3, 'kind' => 'checked', 'position' => 0],
        ])->assertOk();
        $this->travel(20)->seconds();
        $this->send($sitting, [
            ['id' => 'f', 'seq' => 4, 'kind' => 'flagged', 'position' => 0, 'value' => true],
            ['id' => 'n', 'seq' => 5, 'kind' => 'shown', 'position' => 1],
        ])->assertOk();
        $stored = fn (string $column): int => (int) DB::table('outcomes')->where('position', 0)->value($column);
        self::assertEqualsWithDelta(5_000, $stored('active_ms'), 900);
        self::assertSame(0, $stored('flagged'));
        self::assertSame(0, Artisan::call('recount'), Artisan::output());

        // A clock that is said to stand would open the gate before the keys.
        DB::table('sittings')->update(['clocked' => DB::raw('1 - clocked')]);
        self::assertSame(1, Artisan::call('recount'));
        self::assertStringContainsString('whether a clock runs is not what its terms say', Artisan::output());
        DB::table('sittings')->update(['clocked' => DB::raw('1 - clocked')]);

        // More time than there was is a fault all the same.
        DB::table('outcomes')->where('position', 0)->update(['active_ms' => 30_000]);
        self::assertSame(1, Artisan::call('recount'));
        self::assertStringContainsString('active_ms is stored as 30000 and comes to 25', Artisan::output());

        $this->handIn($sitting)->assertOk();
        self::assertEqualsWithDelta(25_000, $stored('active_ms'), 900);
        self::assertSame(1, $stored('flagged'));
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
    }

    private function answerOften(string $sitting, int $from, int $to): void
    {
        for ($seq = $from; $seq < $to; $seq++) {
            $this->send($sitting, [$this->answer($seq % 6, $seq % 2 === 0 ? 'a' : 'b', $seq)])->assertOk();
        }
    }
}
