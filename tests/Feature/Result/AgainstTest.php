<?php

declare(strict_types=1);

namespace Tests\Feature\Result;

use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;

/** Two results of one candidate, held against each other. */
final class AgainstTest extends TestCase
{
    use SitsByLetters;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-06-01 09:00:00'));
        $this->actingAs($this->candidate());
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function against(string $one, string $other): TestResponse
    {
        return $this->getJson("/api/sittings/{$one}/against/{$other}");
    }

    public function test_the_earlier_comes_first_and_every_figure_is_what_the_outcomes_say(): void
    {
        $first = $this->sit('mmmmmmmmmmmr', seconds: 30);
        $this->travel(3)->days();
        $second = $this->sit('rrrrrrrrrrmb', sureness: 'guess');
        $view = $this->against($second, $first)->assertOk()->json();
        self::assertSame($view, $this->against($first, $second)->json());
        self::assertSame([$first, $second], [$view['earlier']['sitting'], $view['later']['sitting']]);
        self::assertSame([360_000, 240_000], [$view['earlier']['activeMs'], $view['later']['activeMs']]);
        self::assertEqualsWithDelta([1 / 12, 10 / 12], [
            $view['earlier']['whole']['share'], $view['later']['whole']['share'],
        ], 1e-9);
        self::assertEqualsWithDelta(9 / 12, $view['shift']['by'], 1e-9);
        self::assertTrue($view['shift']['clear']);
        self::assertGreaterThan(0, $view['shift']['low']);
        // Sure of all and wrong before; guessed and right after.
        self::assertGreaterThan(0.8, $view['earlier']['calibration']['off']);
        self::assertLessThan(-0.5, $view['later']['calibration']['off']);

        $outcomes = DB::table('outcomes')->join('topics', 'topics.id', '=', 'outcomes.topic_id')
            ->get(['outcomes.*', 'code']);
        self::assertSame(['Ridges', 'Water'], array_column($view['topics'], 'name'));
        foreach ($view['topics'] as $topic) {
            $code = $topic['earlier']['code'];
            $of = fn (string $sitting) => $outcomes->where('sitting_id', $sitting)
                ->filter(fn (object $row): bool => str_starts_with($row->code, $code));
            $was = $of($first)->sum('share') / count($of($first));
            $is = $of($second)->sum('share') / count($of($second));
            self::assertEqualsWithDelta([$was, $is, $is - $was], [
                $topic['earlier']['share'], $topic['later']['share'], $topic['shift']['by'],
            ], 1e-9);
        }
        $by = $outcomes->where('sitting_id', $first)->keyBy('question_id');
        self::assertCount(12, $view['again']);
        foreach ($view['again'] as $i => $again) {
            $later = $outcomes->where('sitting_id', $second)->firstWhere('position', $i);
            $earlier = $by[$later->question_id];
            self::assertSame(
                [$i, (int) $earlier->position, $earlier->outcome, $later->outcome],
                [$again['laterPosition'], $again['earlierPosition'], $again['earlier'], $again['later']],
            );
            self::assertEqualsWithDelta((float) $later->share - (float) $earlier->share, $again['by'], 1e-9);
        }
    }

    public function test_little_says_nothing_clearly_and_what_was_not_reached_has_no_credit(): void
    {
        $few = $this->sit('mmmm', ['topics' => ['water']]);
        $more = $this->sit('rrr-', ['topics' => ['water'], 'mode' => 'untimed']);
        $view = $this->against($few, $more)->assertOk()->json();
        self::assertEqualsWithDelta(0.75, $view['shift']['by'], 1e-9);
        self::assertFalse($view['shift']['clear']);
        self::assertFalse($view['later']['counts']);
        self::assertCount(1, $view['topics']);
        self::assertSame([1, 1, 1, null], array_column($view['again'], 'by'));

        $ridge = $this->sit('rm', ['topics' => ['ridge']]);
        $view = $this->against($few, $ridge)->assertOk()->json();
        self::assertSame([], $view['again']);
        self::assertSame([null, null], array_column($view['topics'], 'shift'));
        self::assertNull($view['topics'][0]['earlier']);
        self::assertNull($view['topics'][1]['later']);
    }

    public function test_shares_of_an_adaptive_test_are_not_compared(): void
    {
        $one = $this->sit('rmrm');
        $two = $this->sit('rrrr');
        DB::table('tests')->where('id', Sitting::query()->findOrFail($two)->test_id)->update(['adaptive' => '{}']);
        $view = $this->against($one, $two)->assertOk()->json();
        self::assertTrue($view['adaptive']);
        self::assertSame([null, []], [$view['shift'], $view['topics']]);
        self::assertNull($view['later']['whole']['share']);
        self::assertNull($view['later']['whole']['tally']['shareOfAll']);
        self::assertNotNull($view['earlier']['whole']['share']);
    }

    public function test_what_cannot_be_compared_is_refused_in_words(): void
    {
        $one = $this->sit('rm');
        $open = $this->build(['count' => 2]);
        $this->open($open);
        $this->against($one, $open)->assertConflict();
        $this->against($open, $one)->assertConflict();
        $this->against($one, $one)->assertUnprocessable()
            ->assertJsonPath('message', 'Choose two tests that are not the same.');
        $other = $this->sit('rr');
        DB::table('exams')->insert([
            'slug' => 'else', 'name' => 'Else', 'summary' => 'x', 'rules' => '{}', 'position' => 9,
        ]);
        Sitting::query()->where('id', $other)->update([
            'exam_id' => DB::table('exams')->where('slug', 'else')->value('id'),
        ]);
        $this->against($one, $other)->assertUnprocessable()
            ->assertJsonPath('message', 'The two tests are of different exams.');

        // Another's sitting does not exist, on either side.
        $this->flushSession();
        $this->actingAs($this->candidate());
        $theirs = $this->sit('rm');
        $this->against($one, $theirs)->assertNotFound();
        $this->against($theirs, $one)->assertNotFound();
    }
}
