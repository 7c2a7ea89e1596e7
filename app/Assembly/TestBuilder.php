<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Http\Refusal;
use App\Question\Exam;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Uplandia\Core\Assembly\Allocation;
use Uplandia\Core\Assembly\Draw;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Assembly\Unit;

/** Builds a test from a recipe, and the sitting that runs through it. */
final class TestBuilder
{
    public const MS_PER_MINUTE = 60_000;

    /** A title names up to so many topics. */
    private const NAMED = 3;

    /**
     * @param  string|null  $seed  the same seed over the same pools gives the same test; null: a new one
     *
     * @throws Refusal when the recipe cannot be met
     */
    public function build(Exam $exam, User $user, Choices $choices, ?string $seed = null): Sitting
    {
        $syllabus = Syllabus::of($exam);
        $chosen = $syllabus->chosen($choices->topics);
        $bank = new Bank($exam, $user);
        $units = $bank->units(array_merge(...array_values($chosen)), $choices->pools);
        $byTop = array_map(fn (array $ids): array => array_merge(...array_map(fn (int $id): array => $units[$id] ?? [], $ids)), $chosen);
        $available = array_map($this->size(...), array_values($byTop));
        if (array_sum($available) < $choices->count) {
            throw Refusal::unmet('too_few', (new ShortfallWords($exam, $user, $syllabus))->sentence($choices, array_sum($available)));
        }
        $weights = array_map(fn (int $top, int $n): int|string => match ($choices->spread) {
            Spread::Blueprint => $syllabus->get($top)->weight ?? '1',
            Spread::Available => $n,
            Spread::Even => 1,
        }, array_keys($byTop), $available);
        $allocation = Allocation::of($choices->count, $weights, $available);

        $seed = new Seed($seed ?? Str::random(32));
        $drawn = [];
        foreach (array_values($byTop) as $i => $pool) {
            array_push($drawn, ...(new Draw($seed->stream("draw:{$i}")))->take($pool, $allocation->counts[$i]));
        }
        $short = $choices->count - $this->size($drawn);
        if ($short > 0) {
            // Cases and sets are taken whole, so a topic may have nothing left that fits: others make up for it.
            $taken = array_flip(array_map(spl_object_id(...), $drawn));
            $rest = array_filter(array_merge(...array_values($byTop)), fn (Unit $unit): bool => ! isset($taken[spl_object_id($unit)]));
            array_push($drawn, ...(new Draw($seed->stream('fill')))->take(array_values($rest), $short));
        }
        if ($this->size($drawn) < $choices->count) {
            throw Refusal::unmet('does_not_fit', "Some of these questions come together, as cases or sets, so exactly {$choices->count} cannot be made up. Ask for {$this->size($drawn)}.");
        }
        $questions = array_merge(...array_map(fn (Unit $unit): array => $unit->questions, $seed->stream('order')->shuffleArray($drawn)));

        return DB::transaction(fn (): Sitting => $this->save($exam, $user, $choices, $seed, $questions, $this->title($syllabus, $chosen, count($questions))));
    }

    /** @param  list<Unit>  $units */
    private function size(array $units): int
    {
        return array_sum(array_map(fn (Unit $unit): int => count($unit->questions), $units));
    }

    /** @param  list<int>  $questions */
    private function save(Exam $exam, User $user, Choices $choices, Seed $seed, array $questions, string $title): Sitting
    {
        $recipe = Recipe::query()->create(['user_id' => $user->id, 'exam_id' => $exam->id, 'choices' => $choices->toArray()]);
        $versions = DB::table('questions')->join('question_versions', 'question_versions.id', '=', 'questions.version_id')
            ->whereIn('questions.id', $questions)->get(['questions.id', 'questions.version_id', 'question_versions.marks'])->keyBy('id');
        $items = [];
        foreach ($questions as $position => $question) {
            $version = $versions[$question] ?? throw Refusal::conflict('bank_changed', 'The bank has just changed. Build the test again.');
            $items[] = ['position' => $position, 'question_id' => $question, 'version_id' => (int) $version->version_id, 'marks' => (string) $version->marks, 'penalty' => '0', 'section' => null];
        }

        return Test::holding([
            'user_id' => $user->id, 'exam_id' => $exam->id, 'recipe_id' => $recipe->id, 'title' => $title, 'mode' => $choices->mode->value,
            'limit_ms' => $choices->mode->value === 'timed' ? ($choices->minutes ?? self::minutesFor($exam, count($questions))) * self::MS_PER_MINUTE : null,
            'seed' => $seed->value,
        ], $items)->sittingFor($user);
    }

    /** The time that the real exam would give so many questions, in whole minutes, rounded up. */
    public static function minutesFor(Exam $exam, int $questions): int
    {
        return (int) ceil($questions * (float) $exam->rules['minutesPerQuestion']);
    }

    /** @param  array<int, list<int>>  $chosen */
    private function title(Syllabus $syllabus, array $chosen, int $questions): string
    {
        $names = array_map(fn (int $top, array $ids): string => count($ids) === 1 ? $syllabus->get($ids[0])->name : $syllabus->get($top)->name, array_keys($chosen), $chosen);
        $about = implode(', ', $names);
        if (count($names) > self::NAMED) {
            $about = count($names) === $syllabus->tops()->count() ? 'all topics' : count($names).' topics';
        }

        return ($questions === 1 ? '1 question' : "{$questions} questions").": {$about}";
    }
}
