<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use App\Sitting\Closing;
use App\Sitting\Sitting;
use App\Sitting\SittingRepository;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tests\Feature\TestCase;
use Uplandia\Core\Sitting\EventKind;

/** No honest answer is lost, whatever becomes of lid, line and clock; and nothing else is taken. */
final class HonestAnswersTest extends TestCase
{
    private const SECOND = 1000;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
    }

    /** Four answers without contact, the lid closed for 66 s, open again, contact 5 s later. */
    public function test_four_answers_wait_behind_a_lid_and_four_are_taken(): void
    {
        foreach (['events', 'hand-in', 'open'] as $route) {
            $sitting = $this->build(['minutes' => 30]);
            $opened = $this->open($sitting);
            $device = $this->device($opened, goesOn: true);
            foreach (range(0, 3) as $position) {
                $this->runFor($device, 8 * self::SECOND);
                $device->act($this->answered($opened, $position), $this->wall());
            }
            $letter = $route === 'open' ? $device->reloaded() : $device->letter($this->wall());
            $this->travel(66 + 5)->seconds();
            // The page says since when it has run; the lid was open for five seconds.
            $letter = $route === 'open' ? $letter : ['awakeSince' => $this->wall() - 5 * self::SECOND] + $letter;
            $told = $this->postJson("/api/sittings/{$sitting}/{$route}", $letter)->assertOk();

            self::assertSame([], (array) ($told->json('refused') ?? $told->json('state.refused')), $route);
            $state = app(SittingRepository::class)->state(Sitting::query()->findOrFail($sitting));
            self::assertSame(4, $state->answered(), $route);
        }
    }

    /** Letters of 1 to 50 waiting answers over random lids, clocks that go on or stand still, reloads and hand-ins. */
    public function test_whatever_waits_on_an_honest_device_is_taken(): void
    {
        $seed = (int) (getenv('UPLANDIA_SEED') ?: 27);
        $rounds = (int) (getenv('UPLANDIA_ROUNDS') ?: 25);
        for ($round = 0; $round < $rounds; $round++) {
            $chance = new Randomizer(new Xoshiro256StarStar($seed + $round));
            $this->life($chance, 'seed '.($seed + $round));
        }
    }

    private function life(Randomizer $chance, string $said): void
    {
        $sitting = $this->build(['minutes' => 600]);
        $opened = $this->open($sitting);
        $device = $this->device($opened, goesOn: $chance->getInt(0, 1) === 1);
        $last = [];
        for ($letters = $chance->getInt(1, 3); $letters > 0; $letters--) {
            for ($answers = $chance->getInt(1, 50); $answers > 0; $answers--) {
                $this->runFor($device, $chance->getInt(50, 9_000));
                $position = $chance->getInt(0, count($opened['questions']) - 1);
                $event = $this->answered($opened, $position, $chance->getInt(0, 1) === 1);
                $device->act($event, $this->wall());
                $last[$position] = $event['value'];
                if ($chance->getInt(0, 9) === 0) {
                    $this->sleepFor($device, $chance->getInt(1, 8) ** 6 * self::SECOND);
                }
            }
            $this->runFor($device, $chance->getInt(0, 90) * self::SECOND);
            $how = $letters === 1 ? ['events', 'hand-in', 'open'][$chance->getInt(0, 2)] : 'events';
            $letter = $how === 'open' ? $device->reloaded() : $device->letter($this->wall());
            $told = $this->postJson("/api/sittings/{$sitting}/{$how}", $letter)->assertOk();
            self::assertSame([], (array) ($told->json('refused') ?? $told->json('state.refused')), $said);
            if ($told->json('status') === 'paused') {
                $this->travel(1)->seconds();
                $seq = $told->json('lastSeq') + 1;
                $told = $this->send($sitting, [['id' => "go-{$seq}", 'seq' => $seq, 'kind' => 'resumed']]);
            }
            $device = $how === 'events' ? $this->device($told->json(), goesOn: $chance->getInt(0, 1) === 1) : $device;
        }
        $state = app(SittingRepository::class)->state(Sitting::query()->findOrFail($sitting));
        foreach ($last as $position => $value) {
            self::assertSame($value, $state->questions[$position]->response, $said);
        }
    }

    public function test_who_goes_on_and_answers_in_one_letter_is_heard(): void
    {
        $sitting = $this->build(['minutes' => 30]);
        $opened = $this->open($sitting);
        $this->send($sitting, [['id' => 'p', 'seq' => 10, 'kind' => 'paused']])->assertJsonPath('status', 'paused');
        $this->travel(90)->seconds();
        $now = $this->wall();
        $letter = [
            ['id' => 'r', 'seq' => 11, 'kind' => 'resumed', 'madeAt' => $now - 900],
            ['seq' => 12, 'madeAt' => $now - 100] + $this->answer(0, 'a', 12),
        ];
        // Not in a letter of its own before it, and not as of before one went on.
        $early = ['id' => 'x', 'seq' => 13, 'madeAt' => $now - 950] + $this->answer(1, 'a', 13);
        $this->send($sitting, [...$letter, $early])
            ->assertJsonPath('status', 'active')
            ->assertJsonPath('refused', ['x' => 'The sitting was paused.'])
            ->assertJsonPath('answered', 1);
    }

    /** @return list<list<int>> seconds past zero */
    public static function comebacks(): array
    {
        return [[12], [3600], [6 * 86_400]];
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('comebacks')]
    public function test_a_sitting_whose_time_ran_out_without_contact_waits_for_its_device(int $late): void
    {
        $sitting = $this->build(['minutes' => 1]);
        $opened = $this->open($sitting);
        $this->forbidPauses($sitting);
        $start = $opened['state']['now'];
        $made = fn (int $position, int $second): array => ['madeAt' => $start + $second * self::SECOND]
            + $this->answer($position, $this->option($opened, $position, true), 10 + $position);
        $this->travel(60 + $late)->seconds();
        $this->getJson('/api/exams/small-hills/today')->assertJsonPath('open.0.waits', true);
        $this->getJson("/api/sittings/{$sitting}/result")->assertStatus(409)
            ->assertJsonPath('reason', 'waits_for_device');

        $letter = [
            'tab' => 'tab-1',
            'awakeSince' => $late === 12 ? $start : null,
            'awake' => [[$start, $start + 70 * self::SECOND]],
            'events' => [$made(0, 20), $made(1, 59), ['id' => 'late'] + $made(2, 61)],
        ];
        $this->postJson("/api/sittings/{$sitting}/events", $letter)
            ->assertOk()
            ->assertJsonPath('status', 'handed_in')
            ->assertJsonPath('answered', 2)
            ->assertJsonPath('refused.late', 'The sitting had ended.');
        $this->postJson("/api/sittings/{$sitting}/hand-in", $letter)->assertOk();
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertOk()
            ->assertJsonPath('byClock', true)
            ->assertJsonPath('waited', true)
            ->assertJsonPath('tally.right', 2);
        self::assertSame([true, 60_000], [
            (bool) DB::table('sittings')->where('id', $sitting)->value('waited'),
            (int) DB::table('sittings')->where('id', $sitting)->value('active_ms'),
        ]);
    }

    public function test_what_a_device_did_while_it_did_not_run_is_not_believed(): void
    {
        $sitting = $this->build(['minutes' => 5]);
        $opened = $this->open($sitting);
        $start = $opened['state']['now'];
        $this->forbidPauses($sitting);
        $this->travel(20)->minutes();
        $this->postJson("/api/sittings/{$sitting}/events", [
            'tab' => 'tab-1',
            'awakeSince' => null,
            'awake' => [[$start, $start + 100 * self::SECOND]],
            'events' => [
                ['madeAt' => $start + 99 * self::SECOND] + $this->answer(0, 'a', 10),
                ['id' => 'x', 'madeAt' => $start + 101 * self::SECOND] + $this->answer(1, 'a', 11),
            ],
        ])->assertJsonPath('answered', 1)->assertJsonPath('refused.x', 'The sitting had ended.');
    }

    public function test_closed_for_good_it_waits_no_more(): void
    {
        $sitting = $this->build(['minutes' => 1]);
        $opened = $this->open($sitting);
        $this->forbidPauses($sitting);
        $answer = ['madeAt' => $opened['state']['now'] + 100] + $this->answer(0, 'a', 10);
        $this->postJson("/api/sittings/{$sitting}/close")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'not_handed_in');
        $this->travel(90)->seconds();
        $this->closeOver($sitting);
        $this->postJson("/api/sittings/{$sitting}/close")->assertNoContent();
        $this->send($sitting, [$answer])->assertStatus(409)->assertJsonPath('reason', 'handed_in');
        $this->postJson("/api/sittings/{$sitting}/hand-in", ['tab' => 'tab-1', 'events' => [$answer]])
            ->assertJsonCount(1, 'refused');
        self::assertTrue(Sitting::query()->findOrFail($sitting)->waited);
    }

    public function test_after_seven_days_or_with_no_device_it_is_closed_by_itself(): void
    {
        $waiting = $this->build(['minutes' => 1, 'topics' => ['ridge'], 'count' => 2]);
        $this->open($waiting);
        $this->forbidPauses($waiting);
        $left = $this->build(['minutes' => 1, 'topics' => ['water'], 'count' => 2]);
        $this->open($left);
        $this->forbidPauses($left);
        $this->send($left, [['id' => 'l', 'seq' => 9, 'kind' => 'left']]);
        $this->travel(66)->seconds();
        $this->getJson("/api/sittings/{$left}/result")->assertStatus(409)->assertJsonPath('reason', 'to_be_closed');
        self::assertSame(1, app(Closing::class)->closeAllOver());
        $this->getJson("/api/sittings/{$left}/result")->assertOk()->assertJsonPath('waited', false);
        $this->travel(7)->days();
        self::assertSame(0, Artisan::call('sittings:close'));
        self::assertSame("Closed: 1.\n", Artisan::output());
        $this->getJson("/api/sittings/{$waiting}/result")->assertOk()->assertJsonPath('waited', true);

        // Both are told by their events alone, so that an archive carries them.
        self::assertSame(0, Artisan::call('recount'), Artisan::output());
        DB::table('sittings')->update(['waited' => DB::raw('1 - waited')]);
        self::assertSame(1, Artisan::call('recount'));
        self::assertStringContainsString('whether it waited for its device is not', Artisan::output());
    }

    public function test_a_clock_that_was_set_back_refuses_nothing(): void
    {
        $sitting = $this->build(['minutes' => 30]);
        $this->open($sitting);
        $this->travel(60)->seconds();
        $before = $this->send($sitting, [$this->answer(0, 'a', 10)])->json();
        $this->travel(-3600)->seconds();
        $after = $this->send($sitting, [$this->answer(1, 'a', 11)])->assertJsonPath('refused', [])->json();
        self::assertSame(2, $after['answered']);
        self::assertSame([$before['now'], $before['activeMs']], [$after['now'], $after['activeMs']]);
        $this->travel(3600 + 10)->seconds();
        $later = $this->send($sitting, [$this->answer(2, 'a', 12)])->json();
        self::assertSame([3, $before['activeMs'] + 10_000], [$later['answered'], $later['activeMs']]);
    }

    public function test_nothing_is_taken_over_a_gap_that_a_restore_has_left(): void
    {
        $sitting = $this->build(['minutes' => 30]);
        $this->open($sitting);
        $first = $this->send($sitting, [$this->answer(0, 'a', 10)])->json('lastSeq');
        // The backup is of here; what comes after it goes with the restore.
        $second = $this->answer(1, 'a', 11);
        $third = $this->answer(2, 'a', 12);
        foreach (['events', 'hand-in'] as $route) {
            $this->postJson("/api/sittings/{$sitting}/{$route}", ['tab' => 'tab-1', 'after' => 11, 'events' => [$third]])
                ->assertStatus(409)
                ->assertJsonPath('reason', 'behind');
        }
        $all = ['tab' => 'tab-1', 'events' => [$this->answer(0, 'a', 10), $second, $third]];
        $this->postJson("/api/sittings/{$sitting}/events", $all)->assertOk()->assertJsonPath('answered', 3);
        self::assertSame(10, $first);
        $this->postJson("/api/sittings/{$sitting}/events", ['tab' => 'tab-1', 'after' => 12, 'events' => []])->assertOk();
        $this->postJson("/api/sittings/{$sitting}/events", ['tab' => 'tab-1', 'after' => 'x', 'events' => []])
            ->assertStatus(422);
    }

    public function test_a_snapshot_that_does_not_read_is_thrown_away(): void
    {
        $sitting = $this->build(['minutes' => 30]);
        $this->open($sitting);
        $this->send($sitting, [$this->answer(0, 'a', 10)]);
        foreach ([serialize([6, 1, 2, 3]), '', 'x', str_repeat("\0", 4096)] as $torn) {
            DB::table('sitting_snapshots')->upsert(
                ['sitting_id' => $sitting, 'event_id' => DB::table('sitting_events')->max('id'), 'state' => $torn],
                ['sitting_id'],
            );
            $this->send($sitting, [])->assertOk()->assertJsonPath('answered', 1);
        }
    }

    public function test_what_is_out_of_sight_is_not_on_screen_though_the_clock_goes_on(): void
    {
        $sitting = $this->build(['minutes' => 30]);
        $this->open($sitting);
        $mark = fn (int $seq, string $kind, ?int $position = null): TestResponse => $this->send($sitting, [
            ['id' => "{$kind}-{$seq}", 'seq' => $seq, 'kind' => $kind, 'position' => $position],
        ]);
        $mark(10, 'shown', 0);
        $this->travel(56)->seconds();
        $mark(11, EventKind::Hidden->value)->assertJsonPath('status', 'active');
        $this->travel(40)->seconds();
        $mark(12, 'shown', 0)->assertOk();
        $this->travel(4)->seconds();
        $state = $this->send($sitting, [], awakeSince: 0)->json();
        self::assertSame(100_000, $state['activeMs']);
        $own = app(SittingRepository::class)->state(Sitting::query()->findOrFail($sitting))->questions[0]->activeMs;
        self::assertSame(60_000, $own);
    }

    /** @param  array<string, mixed>  $opened */
    private function device(array $opened, bool $goesOn): HonestDevice
    {
        $state = $opened['state'] ?? $opened;

        return new HonestDevice($state['now'], $state['lastSeq'], $goesOn);
    }

    /**
     * @param  array<string, mixed>  $opened
     * @return array<string, mixed>
     */
    private function answered(array $opened, int $position, bool $right = true): array
    {
        return [
            'kind' => 'answered',
            'position' => $position,
            'value' => ['choice' => $this->option($opened, $position, $right)],
        ];
    }

    /** As a paper: no lid stops its clock. */
    private function forbidPauses(string $sitting): void
    {
        $terms = DB::raw("json_set(terms, '$.pausable', json('false'))");
        DB::table('sittings')->where('id', $sitting)->update(['terms' => $terms]);
    }

    private function runFor(HonestDevice $device, int $ms): void
    {
        $this->travel($ms)->milliseconds();
        $device->ran($ms, $this->wall());
    }

    private function sleepFor(HonestDevice $device, int $ms): void
    {
        $this->travel($ms)->milliseconds();
        $device->slept($ms);
    }

    private function wall(): int
    {
        return (int) Carbon::now()->valueOf();
    }
}
