<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use App\Assembly\Facets;
use App\Question\Candidacy;
use App\Question\Syllabus;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Feature\TestCase;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;

final class FacetsTest extends TestCase
{
    /** Each facet is what the whole would be with that one value of that one filter: tried one by one. */
    public function test_each_facet_says_what_choosing_it_alone_would_leave(): void
    {
        $this->actingAs($user = $this->candidate());
        $exam = $this->exam();
        $chance = new Randomizer(new Mt19937(11));
        $this->scramble($chance, $user->id);
        $tried = 0;
        for ($round = 0; $round < 25; $round++) {
            $choices = $this->anyChoices($chance);
            $facets = app(Facets::class)->of(new Candidacy($user, $exam), Recipe::of($choices));
            foreach (['pools', 'difficulties', 'kinds'] as $filter) {
                foreach ((array) $facets->{$filter} as $value => $n) {
                    $alone = [$filter => [$value]] + $choices;
                    self::assertSame($this->bruteForce($user->id, $alone), $n, "round {$round}: {$filter} {$value}");
                    $tried++;
                }
            }
            foreach (['_holds' => $facets->holds, '_found' => $facets->found] + (array) $facets->tags as $family => $values) {
                foreach ((array) $values as $value => $n) {
                    $alone = ['tags' => [$family => [(string) $value]] + ($choices['tags'] ?? [])] + $choices;
                    self::assertSame($this->bruteForce($user->id, $alone), $n, "round {$round}: {$family} {$value}");
                    $tried++;
                }
            }
        }
        self::assertGreaterThan(400, $tried);
    }

    public function test_facets_come_over_the_contract(): void
    {
        $this->actingAs($this->candidate());
        $this->exam();
        $this->postJson('/api/exams/small-hills/facets', ['pools' => [], 'count' => 5, 'mode' => 'tutor'])
            ->assertOk()
            ->assertJsonPath('pools.new', 12)
            ->assertJsonPath('pools.missed', 0);
        $this->postJson('/api/exams/small-hills/facets', ['pools' => ['luck'], 'count' => 5, 'mode' => 'tutor'])
            ->assertStatus(422);
    }

    private function scramble(Randomizer $chance, int $user): void
    {
        foreach (DB::table('questions')->get() as $question) {
            DB::table('questions')->where('id', $question->id)->update([
                'difficulty' => ['easy', 'moderate', 'hard'][$chance->getInt(0, 2)],
                'kind' => ['single', 'several'][$chance->getInt(0, 1)],
            ]);
            DB::table('question_tags')->where('question_id', $question->id)->delete();
            $families = [
                'year' => ['2024', '2025'], 'skill' => ['recall', 'apply'], '_holds' => ['film', 'table'],
                '_found' => ['easy', 'hard'],
            ];
            foreach ($families as $f => $v) {
                if ($chance->getInt(0, 4) > 0) {
                    DB::table('question_tags')->insert([
                        'question_id' => $question->id, 'family' => $f, 'value' => $v[$chance->getInt(0, 1)],
                    ]);
                }
            }
            DB::table('standings')->insert([
                'user_id' => $user, 'question_id' => $question->id, 'exam_id' => $question->exam_id,
                'topic_id' => $question->topic_id,
                'outcome' => [null, 'right', 'missed', 'partly', 'left_blank', 'pending'][$chance->getInt(0, 5)],
                'flagged' => $chance->getInt(0, 1), 'starred' => $chance->getInt(0, 1),
                'noted' => $chance->getInt(0, 1),
                'gap_open' => $chance->getInt(0, 1), 'false_footing' => $chance->getInt(0, 1),
                'due_day' => $chance->getInt(0, 1) === 0 ? null : $chance->getInt(1, 40_000),
            ]);
        }
        DB::table('questions')->limit(1)->update(['retired_at' => now()]);
        app(\App\Question\Tallies::class)->renew($this->exam()->id);
    }

    /** @return array<string, mixed> */
    private function anyChoices(Randomizer $chance): array
    {
        $maybe = fn (array $choices): array => array_filter($choices, fn (): bool => $chance->getInt(0, 2) === 0);

        return array_filter([
            'topics' => $chance->getInt(0, 1) === 0 ? null : ['ridge'],
            'only' => $chance->getInt(0, 3) > 0
                ? null
                : DB::table('questions')->whereRaw('id % 3 > 0')->pluck('id')->all(),
            'difficulties' => array_values($maybe(['easy', 'hard'])),
            'kinds' => array_values($maybe(['single'])),
            'tags' => $maybe([
                'year' => ['2024'], 'skill' => ['apply'], '_holds' => ['film', 'table'], '_found' => ['hard'],
            ]),
        ]) + ['pools' => array_values($maybe(['new', 'missed', 'flagged', 'due'])), 'count' => 1, 'mode' => 'timed'];
    }

    /** @param  array<string, mixed>  $choices */
    private function bruteForce(int $user, array $choices): int
    {
        $topics = array_merge([], ...Syllabus::of($this->exam())->chosen($choices['topics'] ?? null));
        $standings = DB::table('standings')->where('user_id', $user)->get()->keyBy('question_id');
        $tags = DB::table('question_tags')->get()->groupBy('question_id');
        $passes = function (object $question) use ($choices, $topics, $standings, $tags): bool {
            foreach ($choices['tags'] ?? [] as $family => $values) {
                $own = collect($tags[$question->id] ?? [])
                    ->where('family', (string) $family)
                    ->whereIn('value', $values);
                if ($own->isEmpty()) {
                    return false;
                }
            }
            $in = array_filter(
                $choices['pools'],
                fn (string $pool): bool => Pools::hold(Pool::from($pool), $standings[$question->id]),
            );

            return in_array($question->topic_id, $topics, true)
                && in_array($question->id, $choices['only'] ?? [$question->id], true)
                && in_array($question->difficulty, $choices['difficulties'] ?? [$question->difficulty], true)
                && in_array($question->kind, $choices['kinds'] ?? [$question->kind], true)
                && ($choices['pools'] === [] || $in !== []);
        };

        return DB::table('questions')->whereNull('retired_at')->get()->filter($passes)->count();
    }
}
