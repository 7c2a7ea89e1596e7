<?php

declare(strict_types=1);

namespace Tests\Feature\Sitting;

use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Testing\TestResponse;
use Tests\Feature\TestCase;

/** Sittings that were taken along on a device without a connection. */
final class PackTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
    }

    public function test_a_tutor_may_take_the_keys_along_and_nothing_else_may(): void
    {
        foreach (['timed', 'untimed'] as $mode) {
            $sitting = $this->build(['mode' => $mode]);
            $this->open($sitting);
            $pack = $this->pack($sitting)->assertOk()->assertJsonPath('explanations', []);
            self::assertStringNotContainsString('SECRET', (string) $pack->getContent());
        }
        $sitting = $this->build(['mode' => 'tutor']);
        $this->open($sitting);
        $pack = $this->pack($sitting)->assertOk();
        self::assertCount(Sitting::query()->findOrFail($sitting)->questions, $pack->json('explanations'));
        self::assertStringContainsString('SECRET', (string) $pack->getContent());
    }

    public function test_only_who_holds_the_pen_of_a_running_sitting_takes_it_along(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $this->pack($sitting)->assertStatus(422)->assertJsonPath('reason', 'not_started');
        $this->open($sitting);
        $this->pack($sitting, 'tab-2')->assertStatus(409)->assertJsonPath('reason', 'open_elsewhere');
        $this->postJson("/api/sittings/{$sitting}/pack")->assertStatus(422);
        $this->handIn($sitting)->assertOk();
        $this->pack($sitting)->assertStatus(409)->assertJsonPath('reason', 'handed_in');
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->pack($sitting)->assertNotFound();
        $this->deleteJson("/api/sittings/{$sitting}/pack")->assertNotFound();
    }

    public function test_a_second_device_is_told_and_the_first_when_it_is_back(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $this->open($sitting);
        $this->pack($sitting)->assertOk();
        $this->send($sitting, [['id' => 'l', 'seq' => 9, 'kind' => 'left']])->assertOk();
        $this->travel(2)->days();

        $open = fn (string $tab, bool $take = false): TestResponse => $this->postJson(
            "/api/sittings/{$sitting}/open",
            ['tab' => $tab, 'take' => $take],
        );
        $told = $open('tab-2')->assertStatus(409)->assertJsonPath('reason', 'open_elsewhere');
        self::assertStringStartsWith('This sitting was taken along', (string) $told->json('message'));
        $open('tab-1')->assertOk();
        $open('tab-2', take: true)->assertOk();
        $this->send($sitting, [$this->answer(0, 'a', 10)])->assertStatus(409);
        $open('tab-1')->assertStatus(409);
        $this->travel(1)->minutes();
        $open('tab-1')->assertOk();
    }

    public function test_given_back_it_opens_anywhere(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $this->open($sitting);
        $this->pack($sitting);
        $this->deleteJson("/api/sittings/{$sitting}/pack")->assertNoContent();
        $this->travel(1)->minutes();
        $this->open($sitting, 'tab-2');
        self::assertNull(Sitting::query()->findOrFail($sitting)->packed_by);
    }

    public function test_without_a_clock_everything_done_on_the_way_counts(): void
    {
        $sitting = $this->build(['mode' => 'tutor']);
        $opened = $this->open($sitting);
        $this->pack($sitting);
        $this->travel(2)->days();
        $made = $opened['state']['now'] + 3_600_000;
        $state = $this->send($sitting, [['madeAt' => $made] + $this->answer(0, 'a', 10)])->assertOk();
        $state->assertJsonPath('refused', [])->assertJsonPath('answered', 1)->assertJsonPath('status', 'active');
    }

    public function test_the_clock_counts_what_the_device_was_awake_and_no_more(): void
    {
        $sitting = $this->build(['minutes' => 10]);
        $began = $this->open($sitting)['state']['now'];
        $this->pack($sitting);
        $minute = 60_000;
        // Three minutes awake, a day asleep, two minutes awake, and then it is back.
        $day = 86_400_000;
        $this->travel($day + 5 * $minute)->milliseconds();
        $this->getJson("/api/sittings/{$sitting}")->assertJsonPath('status', 'open');
        $state = $this->postJson("/api/sittings/{$sitting}/open", [
            'tab' => 'tab-1',
            'awake' => [[$began, $began + 3 * $minute], [$began + $day + 3 * $minute, $began + $day + 5 * $minute]],
        ])->assertOk();
        $state->assertJsonPath('state.status', 'active')
            ->assertJsonPath('state.activeMs', 5 * $minute)
            ->assertJsonPath('state.remainingMs', 5 * $minute);

        $answers = [
            ['madeAt' => $began + 2 * $minute] + $this->answer(0, 'a', 10),
            ['madeAt' => $began + $day] + $this->answer(1, 'a', 11),
            ['madeAt' => $began + $day + 4 * $minute] + $this->answer(2, 'a', 12),
        ];
        $this->send($sitting, $answers, awakeSince: $began + $day + 5 * $minute)
            ->assertJsonPath('answered', 2)
            ->assertJsonPath("refused.{$answers[1]['id']}", 'The sitting was paused.');
    }

    public function test_moments_that_are_none_are_refused(): void
    {
        $sitting = $this->build(['minutes' => 10]);
        foreach (['x', [[1]], [[2, 1]], [['a', 'b']], [[-1, 5]], array_fill(0, 501, [1, 2])] as $awake) {
            $this->postJson("/api/sittings/{$sitting}/open", ['tab' => 'tab-1', 'awake' => $awake])->assertStatus(422);
        }
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function pack(string $sitting, string $tab = 'tab-1'): TestResponse
    {
        return $this->postJson("/api/sittings/{$sitting}/pack", ['tab' => $tab]);
    }
}
