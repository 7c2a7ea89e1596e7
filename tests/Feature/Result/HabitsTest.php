<?php

declare(strict_types=1);

namespace Tests\Feature\Result;

use Illuminate\Support\Carbon;
use Tests\Feature\TestCase;

final class HabitsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
    }

    public function test_a_handed_in_sitting_tells_how_sure_quick_and_steady_one_was(): void
    {
        $sitting = $this->build(['count' => 10]);
        $opened = $this->open($sitting);
        $events = [];
        $seq = 10;
        $do = function (string $kind, int $position, mixed $value = null) use (&$events, &$seq): void {
            $seq++;
            $events[] = [
                'id' => "e{$seq}",
                'seq' => $seq,
                'kind' => $kind,
                'position' => $position,
                'value' => $value,
            ];
        };
        foreach (range(0, 9) as $position) {
            $right = $this->option($opened, $position, true);
            $wrong = $this->option($opened, $position, false);
            $do('shown', $position);
            $this->send($sitting, $events)->assertOk();
            $events = [];
            $this->travel($position === 7 ? 60 : 10)->seconds();
            if ($position < 4) {
                // Sure and wrong.
                $do('answered', $position, ['choice' => $wrong]);
                $do('sureness', $position, 'sure');
            } elseif ($position < 6) {
                // Right at first, then changed to wrong, the right one ruled out.
                $do('answered', $position, ['choice' => $right]);
                $do('struck', $position, [$right]);
                $do('answered', $position, ['choice' => $wrong]);
            } else {
                $do('answered', $position, ['choice' => $right]);
                $do('sureness', $position, 'guess');
            }
            $this->send($sitting, $events)->assertOk();
            $events = [];
        }
        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertStatus(409)
            ->assertJsonPath('reason', 'not_handed_in');
        $this->handIn($sitting)->assertOk();
        $insight = $this->getJson("/api/sittings/{$sitting}/result")->assertOk();

        $insight
            ->assertJsonPath('opening', '40 %, below the cut; the topics below show where the marks are.')
            ->assertJsonPath('facts.0', '4 answers were sure and wrong. Begin the review there.')
            ->assertJsonPath('footing', ['firm' => 0, 'falseFooting' => 4, 'luckyStep' => 4, 'openGround' => 0])
            ->assertJsonPath('habits.wrongToRight', 0)
            ->assertJsonPath('habits.rightToWrong', 2)
            ->assertJsonPath('habits.wrongToWrong', 0)
            ->assertJsonPath('habits.keyRuledOut', 2)
            ->assertJsonPath('course.slowest.0', 7)
            ->assertJsonPath('levels.0.leaning', 'over_confident')
            ->assertJsonPath('levels.2.n', 4)
            ->assertJsonCount(2, 'facts');
    }

    public function test_a_blank_sitting_tells_that_there_is_nothing_to_read(): void
    {
        $sitting = $this->build();
        $this->open($sitting);
        $this->handIn($sitting);

        $this->getJson("/api/sittings/{$sitting}/result")
            ->assertOk()
            ->assertJsonPath('opening', 'Nothing was answered, so there is nothing to read from this test yet.')
            ->assertJsonPath('footing.firm', 0);
    }

    public function test_to_everybody_else_it_does_not_exist(): void
    {
        $sitting = $this->build();
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->getJson("/api/sittings/{$sitting}/result")->assertNotFound();
    }
}
