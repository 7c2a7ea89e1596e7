<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use App\Assembly\SavedRecipe;
use App\Assembly\Test;
use App\Clock\Moment;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Tests\Feature\TestCase;

final class RecipesTest extends TestCase
{
    private const CHOICES = [
        'topics' => ['ridge.rock', 'water'],
        'pools' => ['new'],
        'tags' => ['paper' => ['2024']],
        'words' => 'wind',
        'count' => 4,
        'mode' => 'timed',
        'minutes' => 9,
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->exam();
        $this->actingAs($this->candidate());
    }

    public function test_a_recipe_is_kept_found_changed_and_deleted(): void
    {
        $path = '/api/exams/small-hills/recipes';
        $this->getJson($path)->assertOk()->assertJsonPath('recipes', []);
        $id = $this->postJson($path, ['name' => ' My Tuesdays '] + self::CHOICES)
            ->assertCreated()
            ->assertJsonPath('name', 'My Tuesdays')
            ->json('id');
        $kept = $this->getJson($path)->assertJsonPath('recipes.0.id', $id)->json('recipes.0.choices');
        self::assertEquals(
            self::CHOICES + [
                'only' => [],
                'difficulties' => [], 'kinds' => [], 'spread' => 'blueprint', 'plain' => false, 'penalty' => '0',
                'shuffled' => true, 'secondsEach' => null, 'runningScore' => false, 'asksSureness' => true,
            ],
            $kept,
        );
        // What was kept can be sent as it is.
        $this->postJson('/api/exams/small-hills/count', $kept)->assertOk();
        $this->putJson("/api/recipes/{$id}", ['name' => 'Wednesdays', 'count' => 2] + $kept)
            ->assertOk()
            ->assertJsonPath('choices.count', 2);
        $this->getJson($path)->assertJsonPath('recipes.0.name', 'Wednesdays');
        $this->deleteJson("/api/recipes/{$id}")->assertNoContent();
        $this->deleteJson("/api/recipes/{$id}")->assertNotFound();
        $this->getJson($path)->assertJsonPath('recipes', []);
    }

    public function test_without_a_name_it_gets_one_made_of_its_choices(): void
    {
        $this->postJson('/api/exams/small-hills/recipes', ['topics' => ['water']] + self::CHOICES)
            ->assertCreated()
            ->assertJsonPath('name', fn (string $name): bool => str_ends_with($name, ', new to me, “wind” · 4'));
    }

    public function test_what_cannot_be_run_is_not_kept(): void
    {
        $faults = [
            ['topics' => ['nowhere']], ['count' => 501], ['pools' => ['luck']], ['name' => str_repeat('x', 121)],
        ];
        foreach ($faults as $bad) {
            $this->postJson('/api/exams/small-hills/recipes', $bad + self::CHOICES)->assertStatus(422);
        }
        self::assertSame(0, SavedRecipe::query()->count());
    }

    public function test_to_everybody_else_a_recipe_does_not_exist(): void
    {
        $id = $this->postJson('/api/exams/small-hills/recipes', self::CHOICES)->json('id');
        $unnamed = $this->build();
        $built = (string) DB::table('recipes')->whereNull('name')->value('id');
        self::assertNotSame('', $unnamed);
        $this->putJson("/api/recipes/{$built}", self::CHOICES)->assertNotFound();
        $this->flushSession()->actingAs($this->candidate());
        $this->putJson("/api/recipes/{$id}", self::CHOICES)->assertNotFound();
        $this->deleteJson("/api/recipes/{$id}")->assertNotFound();
        $this->getJson('/api/exams/small-hills/recipes')->assertJsonPath('recipes', []);
        self::assertSame(2, SavedRecipe::query()->count());
    }

    public function test_a_hundred_are_enough(): void
    {
        for ($i = 0; $i < 100; $i++) {
            SavedRecipe::query()->create([
                'user_id' => auth()->id(), 'exam_id' => $this->exam()->id, 'name' => "R {$i}", 'version' => 1,
                'choices' => self::CHOICES,
            ]);
        }
        $this->postJson('/api/exams/small-hills/recipes', self::CHOICES)
            ->assertStatus(422)
            ->assertJsonPath('reason', 'too_many');
    }

    public function test_a_test_is_called_what_was_typed_or_what_tells_it_apart(): void
    {
        $this->build(['count' => 3, 'topics' => ['water'], 'pools' => []]);
        $this->build(['count' => 3, 'topics' => ['water'], 'pools' => [], 'name' => 'Fords ']);
        $this->build(['topics' => null, 'pools' => ['new'], 'spread' => 'by_hand', 'byTopic' => ['ridge' => 2]]);
        $titles = Test::query()->pluck('title')->all();

        self::assertCount(3, array_unique($titles));
        self::assertContains('Fords', $titles);
        // What is made again and again is told apart by its day, where the candidate lives.
        $day = preg_quote(Moment::short(Moment::day(Moment::now(app(ClockInterface::class)), 'UTC')));
        self::assertNotSame([], preg_grep("/ · 3, {$day}$/", $titles));
        self::assertNotSame([], preg_grep("/, new to me · 2, {$day}$/", $titles));
        // And the same sat once more by its number.
        $fords = Sitting::query()->where('name', 'like', 'Fords%')->orderBy('name');
        $this->postJson('/api/sittings/'.Sitting::query()->where('name', 'Fords')->value('id').'/again', [
            'how' => 'same',
        ])->assertCreated();
        self::assertSame(['Fords', 'Fords (2)'], $fords->pluck('name')->all());
    }
}
