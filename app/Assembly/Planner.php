<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\Syllabus;
use Uplandia\Core\Assembly\Composition;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Shortfall;
use Uplandia\Core\Assembly\Spread;
use Uplandia\Core\Assembly\Supply;

/**
 * Works out what a recipe comes to: the one way behind counting and building. The core decides what each topic gives.
 */
final readonly class Planner
{
    public function __construct(private Bank $bank, private HoldsBack $running)
    {
    }

    /** @throws Refusal for a topic that the exam does not have */
    public function plan(Candidacy $candidacy, Recipe $recipe): Plan
    {
        $syllabus = $candidacy->syllabus();
        // Tutor mode shows answers. What a sitting with a clock still asks for is none of its questions.
        $heldBack = $recipe->mode === Mode::Tutor ? $this->running->heldBack($candidacy->user) : [];
        $selection = $this->bank
            ->selection($candidacy, $recipe->filters)
            ->without($heldBack);
        $byTopic = $this->bank->supplies($selection);
        $parts = $recipe->spread === Spread::ByHand
            ? self::byHand($recipe, $syllabus)
            : self::tops($recipe->filters, $syllabus);
        $supplies = array_map(
            fn (array $topics): Supply => Supply::together(array_values(array_intersect_key(
                $byTopic,
                array_flip($topics),
            ))),
            array_values($parts),
        );
        $codes = array_map(strval(...), array_keys($parts));
        // Nobody knows before what a test will ask that adapts.
        $composition = $recipe->spread === Spread::ByHand || $recipe->adapting
            ? null
            : Composition::of(
                $recipe->count,
                $supplies,
                self::weights(spread: $recipe->spread, codes: $codes, supplies: $supplies, syllabus: $syllabus),
            );
        $wanted = array_map(fn (string $code): int => $recipe->byTopic[$code] ?? 0, $codes);

        return new Plan(
            codes: $codes,
            topics: array_values($parts),
            supplies: $supplies,
            counts: match (true) {
                $recipe->adapting => null,
                $composition === null => self::exactly($wanted, $supplies),
                default => $composition->counts,
            },
            byTopic: $byTopic,
            passing: $this->bank->byTopic($selection),
            available: $composition->available ?? array_sum(array_column($supplies, 'total')),
            below: $composition?->below,
            above: $composition?->above,
            short: Shortfall::of(
                array_combine($codes, $wanted),
                array_combine($codes, array_column($supplies, 'total')),
            )->shortByTopic ?? [],
            selection: $selection,
            holdsBack: $heldBack !== [],
        );
    }

    /** @return array<string, list<int>> code of a topic at the top => ids of those under it that are chosen */
    private static function tops(Filters $filters, Syllabus $syllabus): array
    {
        $parts = [];
        foreach ($syllabus->chosen($filters->topics()) as $top => $topics) {
            $parts[$syllabus->get($top)->code] = $topics;
        }

        return $parts;
    }

    /**
     * A topic gives of what its subtopics with counts of their own do not.
     *
     * @return array<string, list<int>> code => topic ids
     *
     * @throws Refusal
     */
    private static function byHand(Recipe $recipe, Syllabus $syllabus): array
    {
        $chosen = array_merge([], ...$syllabus->chosen($recipe->filters->topics()));
        $named = [];
        foreach (array_keys($recipe->byTopic) as $code) {
            $named[$code] = array_merge([], ...$syllabus->chosen([(string) $code]));
        }
        $parts = [];
        foreach ($named as $code => $topics) {
            $narrower = array_filter($named, fn (array $other): bool => count($other) < count($topics));
            $parts[(string) $code] = array_values(
                array_diff(array_intersect($topics, $chosen), array_merge([], ...array_values($narrower))),
            );
        }

        return $parts;
    }

    /**
     * @param  list<string>  $codes
     * @param  list<Supply>  $supplies
     * @return list<int|string>
     */
    private static function weights(Spread $spread, array $codes, array $supplies, Syllabus $syllabus): array
    {
        return array_map(
            fn (string $code, Supply $supply): int|string => match ($spread) {
                Spread::Available => $supply->total,
                Spread::Even => 1,
                default => $syllabus->named($code)->weight ?? '1',
            },
            $codes,
            $supplies,
        );
    }

    /**
     * @param  list<int>  $wanted
     * @param  list<Supply>  $supplies
     * @return list<int>|null null: some part cannot give exactly so many
     */
    private static function exactly(array $wanted, array $supplies): ?array
    {
        foreach ($supplies as $i => $supply) {
            if (! $supply->makes($wanted[$i])) {
                return null;
            }
        }

        return $wanted;
    }
}
