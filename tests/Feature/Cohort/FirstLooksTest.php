<?php

declare(strict_types=1);

namespace Tests\Feature\Cohort;

use App\Cohort\FirstLooks;
use Tests\Feature\SitsByLetters;
use Tests\Feature\TestCase;
use Uplandia\Core\Cohort\FirstLook;
use Uplandia\Core\Cohort\ItemAnalysis;

/** What a question's figures are made of: what each candidate chose when they met it first. */
final class FirstLooksTest extends TestCase
{
    use SitsByLetters;

    public function test_who_meets_a_question_again_chooses_no_option_a_second_time(): void
    {
        $this->actingAs($this->candidate());
        $first = $this->sit('mmmm');
        $chosen = fn (): array => collect(app(FirstLooks::class)->of($this->exam()))
            ->mapWithKeys(fn (FirstLook $look): array => [$look->item => $look->option])
            ->sortKeys()
            ->all();
        $before = $chosen();
        self::assertCount(4, $before);
        $again = (string) $this->postJson("/api/sittings/{$first}/again", ['how' => 'same'])->json('sitting');
        $this->built = $again;
        $this->answerAll($again, 'rrrr');
        self::assertSame($before, $chosen());
        foreach (ItemAnalysis::of(app(FirstLooks::class)->of($this->exam())) as $item) {
            self::assertSame([1, 0.0, [1.0]], [$item->n, $item->facility, array_values($item->optionShares)]);
        }
    }
}
