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

    private function answerOften(string $sitting, int $from, int $to): void
    {
        for ($seq = $from; $seq < $to; $seq++) {
            $this->send($sitting, [$this->answer($seq % 6, $seq % 2 === 0 ? 'a' : 'b', $seq)])->assertOk();
        }
    }
}
