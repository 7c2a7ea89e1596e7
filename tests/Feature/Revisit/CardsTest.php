<?php

declare(strict_types=1);

namespace Tests\Feature\Revisit;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\Feature\TestCase;

/** Cards: made, found, looked at, taken in and away. */
final class CardsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo(Carbon::parse('2026-03-02 09:00:00'));
        $this->actingAs($this->candidate());
        $this->exam();
    }

    /** @param  array<string, mixed>  $more */
    private function make(string $front, string $back = 'b', array $more = []): string
    {
        return (string) $this->postJson('/api/exams/small-hills/cards', compact('front', 'back') + $more)
            ->assertCreated()
            ->json('id');
    }

    /**
     * @param  array<string, mixed>  $wanted
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function list(array $wanted = []): TestResponse
    {
        $asked = http_build_query($wanted + ['show' => 'all', 'page' => 1]);

        return $this->getJson("/api/exams/small-hills/cards?{$asked}")->assertOk();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function look(string $card, int $grade, string $id): TestResponse
    {
        return $this->postJson("/api/cards/{$card}/looks", ['id' => $id, 'grade' => $grade]);
    }

    /** @return list<string> */
    private static function fronts(TestResponse $list): array
    {
        return array_column((array) $list->json('cards'), 'front');
    }

    public function test_a_new_card_is_due_and_comes_back_by_the_reference_scheduler(): void
    {
        $card = $this->make("  How **far**?\r\n", '3 km', ['section' => 'other', 'sitting' => null]);
        $this->list()->assertJson(['all' => 1, 'due' => 1, 'suspended' => 0, 'next' => null, 'cards' => [[
            'front' => 'How **far**?', 'back' => '3 km', 'section' => 'other', 'due' => '2026-03-02',
            'looks' => 0, 'recall' => null,
        ]]]);
        // Figures of computation.md, section 9: Good today, Good three days later, and so on.
        foreach ([
            ['2026-03-02', 3, '2026-03-04'], ['2026-03-05', 3, '2026-03-19'], ['2026-03-15', 4, '2026-05-31'],
            ['2026-04-14', 1, '2026-04-17'], ['2026-04-16', 2, '2026-04-22'], ['2026-04-21', 3, '2026-05-03'],
        ] as $i => [$day, $grade, $due]) {
            $this->travelTo(Carbon::parse("{$day} 20:00:00"));
            $this->look($card, $grade, "look-{$i}")->assertOk()->assertJson(['due' => $due, 'looks' => $i + 1]);
        }
        $this->list(['show' => 'due'])->assertJson(['due' => 0, 'next' => '2026-05-03', 'cards' => []]);
        $this->travelTo(Carbon::parse('2026-05-03 00:00:01'));
        self::assertEqualsWithDelta(0.9, $this->list()->json('cards.0.recall'), 0.001);
        $this->list(['show' => 'due'])->assertJson(['due' => 1, 'next' => null]);
        self::assertSame(0, Artisan::call('recount'));
        DB::table('cards')->update(['due_day' => 1]);
        self::assertSame(1, Artisan::call('recount'));
        self::assertStringContainsString('due_day is stored as 1', Artisan::output());
    }

    public function test_today_tells_how_many_cards_are_due(): void
    {
        $today = fn (): mixed => $this->getJson('/api/exams/small-hills/today')->assertOk()->json('quick.cards');
        self::assertSame(0, $today());
        $card = $this->make('a');
        $this->make('b');
        self::assertSame(2, $today());
        $this->look($card, 3, 'x');
        self::assertSame(1, $today());
    }

    public function test_the_same_look_sent_twice_counts_once(): void
    {
        $card = $this->make('a');
        $this->look($card, 3, 'one');
        $this->look($card, 1, 'one')->assertOk()->assertJson(['looks' => 1, 'due' => '2026-03-04']);
    }

    public function test_days_are_the_candidates_and_no_card_comes_later_than_the_day_before_the_exam(): void
    {
        $this->travelTo(Carbon::parse('2026-03-28 23:30:00'));
        $this->putJson('/api/exams/small-hills/enrolment', ['examDate' => '2026-04-05', 'timeZone' => 'Europe/Oslo']);
        $card = $this->make('a');
        $this->list()->assertJson(['today' => '2026-03-29', 'cards' => [['due' => '2026-03-29']]]);
        $this->look($card, 4, 'x')->assertJson(['due' => '2026-04-04']);
        $this->list()->assertJson(['due' => 0, 'next' => '2026-04-04']);
        $this->travelTo(Carbon::parse('2026-04-03 20:00:00'));
        $this->list(['show' => 'due'])->assertJson(['today' => '2026-04-03', 'due' => 0]);
        $this->travelTo(Carbon::parse('2026-04-03 22:30:00'));
        $this->list(['show' => 'due'])->assertJson(['today' => '2026-04-04', 'due' => 1, 'next' => null]);
    }

    public function test_cards_are_found_by_words_page_and_state(): void
    {
        $this->make('Höhe of the **col**', 'about 900 m');
        $this->make('Second', 'the col again', ['section' => 'other']);
        $away = $this->make('Third');
        $this->putJson("/api/cards/{$away}/state", ['suspended' => true])->assertJson(['due' => null]);
        self::assertSame(['Höhe of the **col**', 'Second'], self::fronts($this->list(['words' => 'COL'])));
        self::assertSame(['Höhe of the **col**'], self::fronts($this->list(['words' => 'höhe 900'])));
        self::assertSame(['Second'], self::fronts($this->list(['section' => 'other'])));
        self::assertSame(['Third'], self::fronts($this->list(['show' => 'suspended'])));
        self::assertSame(['Höhe of the **col**', 'Second'], self::fronts($this->list(['show' => 'due'])));
        $this->list(['words' => 'nothing'])->assertJson(['all' => 3, 'found' => 0, 'pages' => 1, 'cards' => []]);
        $this->putJson("/api/cards/{$away}/state", ['suspended' => false])->assertJson(['due' => '2026-03-02']);
    }

    public function test_a_list_has_pages_of_fifty(): void
    {
        for ($i = 0; $i < 51; $i++) {
            $this->make("Card {$i}");
        }
        self::assertSame(['Card 50'], self::fronts($this->list(['page' => 2])->assertJson(['pages' => 2])));
        self::assertSame(['Card 50'], self::fronts($this->list(['page' => 99])));
    }

    public function test_a_card_is_changed_and_thrown_away(): void
    {
        $card = $this->make('a');
        $this->putJson("/api/cards/{$card}", ['front' => 'new', 'back' => 'other'])
            ->assertOk()
            ->assertJson(['front' => 'new', 'back' => 'other']);
        $this->putJson("/api/cards/{$card}", ['front' => ' ', 'back' => 'other'])
            ->assertUnprocessable()
            ->assertJsonFragment(['message' => 'The front of a card cannot be empty.']);
        $this->deleteJson("/api/cards/{$card}")->assertNoContent();
        $this->deleteJson("/api/cards/{$card}")->assertNotFound();
        $this->list()->assertJson(['all' => 0]);
    }

    public function test_a_card_is_made_from_a_question_of_ones_own_sitting(): void
    {
        $sitting = $this->build();
        $this->make('a', more: ['sitting' => $sitting, 'position' => 2]);
        $question = DB::table('test_items')->where('position', 2)->value('question_id');
        self::assertSame($question, $this->list()->json('cards.0.question'));
        $from = ['front' => 'a', 'back' => 'b', 'sitting' => $sitting];
        $this->postJson('/api/exams/small-hills/cards', $from + ['position' => 6])->assertUnprocessable();
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->postJson('/api/exams/small-hills/cards', $from + ['position' => 2])->assertUnprocessable();
    }

    public function test_nobody_gets_at_anothers_cards(): void
    {
        $card = $this->make('mine');
        $this->flushSession();
        $this->actingAs($this->candidate());
        $this->putJson("/api/cards/{$card}", ['front' => 'x', 'back' => 'y'])->assertNotFound();
        $this->putJson("/api/cards/{$card}/state", ['suspended' => true])->assertNotFound();
        $this->look($card, 1, 'x')->assertNotFound();
        $this->deleteJson("/api/cards/{$card}")->assertNotFound();
        $this->list()->assertJson(['all' => 0]);
        self::assertSame('mine', DB::table('cards')->value('front'));
    }

    #[TestWith([['front' => 'a', 'back' => 'b', 'sitting' => 'x', 'position' => 0], 'There is no such question.'])]
    #[TestWith([['front' => 'a', 'back' => 'b', 'sitting' => 'x'], 'There is no such question.'])]
    #[TestWith([['front' => 'a', 'back' => 'b', 'section' => 'no.such'], 'There is no such page of the handbook.'])]
    #[TestWith([['front' => 'a', 'back' => ''], 'The back of a card cannot be empty.'])]
    #[TestWith([['front' => ['a'], 'back' => 'b'], 'The front of a card has up to 4,000 letters.'])]
    public function test_what_cannot_be_kept_is_said(array $card, string $sentence): void
    {
        $answer = $this->postJson('/api/exams/small-hills/cards', $card)->assertUnprocessable();
        self::assertStringContainsString($sentence, (string) $answer->getContent());
    }

    public function test_cards_go_away_and_come_in_as_csv_and_as_plain_text(): void
    {
        $cards = [["=1+1\nsecond, \"line\"", "'=kept"], ["Front: a\nBack: b", "-1 °C\n\n| a | b |"], ['Ü', '$x_1$']];
        foreach ($cards as [$front, $back]) {
            $this->make($front, $back);
        }
        $away = $this->getJson('/api/exams/small-hills/cards/file')->assertOk();
        self::assertStringContainsString("\"'=1+1\nsecond, \"\"line\"\"\",''=kept", (string) $away->json('csv'));
        foreach (['csv', 'text'] as $form) {
            $this->flushSession();
            $this->actingAs($this->candidate());
            $bring = fn (): TestResponse => $this->postJson(
                '/api/exams/small-hills/cards/import',
                ['form' => $form, 'text' => $away->json($form)],
            );
            $bring()->assertOk()->assertJson(['added' => 3, 'known' => 0]);
            $bring()->assertOk()->assertJson(['added' => 0, 'known' => 3]);
            $this->list()->assertJson(['all' => 3, 'due' => 3]);
            self::assertSame($away->json('csv'), $this->getJson('/api/exams/small-hills/cards/file')->json('csv'));
        }
    }

    #[TestWith(['csv', "question,answer\r\na,b", 'The first row must name the columns \"front\" and \"back\".'])]
    #[TestWith(['csv', "front,back\r\na,b\r\n\r\nc", 'Row 4: The back of a card cannot be empty.'])]
    #[TestWith(['text', "Front: a\nBack: b\nFront: c", 'Line 3: Here a \"Front:\" with its \"Back:\" is missing.'])]
    #[TestWith(['text', '', 'There is nothing in this file.'])]
    #[TestWith(['xml', 'a', 'Cards come as comma-separated values (CSV) or as plain text.'])]
    public function test_a_file_that_cannot_be_read_is_refused_whole(string $form, string $text, string $why): void
    {
        $answer = $this->postJson('/api/exams/small-hills/cards/import', compact('form', 'text'));
        self::assertStringContainsString($why, (string) $answer->assertUnprocessable()->getContent());
        self::assertSame(0, DB::table('cards')->count());
    }

    public function test_columns_stand_in_any_order_and_others_are_left_alone(): void
    {
        $csv = "\u{FEFF}Back,tags,FRONT\nb,x,a\n";
        $this->postJson('/api/exams/small-hills/cards/import', ['form' => 'csv', 'text' => $csv])
            ->assertJson(['added' => 1]);
        self::assertSame(['a'], self::fronts($this->list()));
    }

    public function test_there_are_five_thousand_at_most_and_one_too_many_brings_none(): void
    {
        $text = fn (int $from, int $to): string => implode('', array_map(
            fn (int $i): string => "Front: {$i}\nBack: b\n",
            range($from, $to),
        ));
        $bring = fn (string $text): TestResponse => $this->postJson(
            '/api/exams/small-hills/cards/import',
            ['form' => 'text', 'text' => $text],
        );
        $bring($text(1, 4999))->assertJson(['added' => 4999]);
        $bring($text(5000, 5001))->assertConflict();
        $this->make('last');
        $this->postJson('/api/exams/small-hills/cards', ['front' => 'a', 'back' => 'b'])->assertConflict();
        self::assertSame(5000, DB::table('cards')->count());
    }
}
