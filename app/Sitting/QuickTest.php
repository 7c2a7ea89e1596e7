<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\Planner;
use App\Assembly\TestBuilder;
use App\Http\Refusal;
use App\Question\Candidacy;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;

/** A test in tutor mode that begins at once: up to so many questions, as near to it as whole cases and sets allow. */
final readonly class QuickTest
{
    public function __construct(private Planner $planner, private TestBuilder $builder)
    {
    }

    /**
     * @param  string  $otherwise  what to say when nothing passes
     * @param  string|null  $name  null: one made of the choices
     *
     * @throws Refusal when nothing passes
     */
    public function begin(
        Candidacy $candidacy,
        Filters $filters,
        int $most,
        string $otherwise,
        ?string $name = null,
    ): Sitting {
        $count = $this->count(candidacy: $candidacy, filters: $filters, most: $most);

        if ($count < 1) {
            throw Refusal::unmet('too_few', $otherwise);
        }

        return DB::transaction(fn (): Sitting => Sitting::createFor(
            $this->builder->build(
                candidacy: $candidacy,
                recipe: self::recipe($filters, $count),
                name: $name,
            ),
            $candidacy->user,
        ));
    }

    /** How many questions it would have; 0: nothing passes. */
    public function count(Candidacy $candidacy, Filters $filters, int $most): int
    {
        // Where nothing is picked, none is wanted; a filter would take that for all.
        return $most < 1 ? 0 : $this->planner->plan(
            $candidacy,
            self::recipe($filters, $most),
        )->nearest($most);
    }

    private static function recipe(Filters $filters, int $count): Recipe
    {
        return new Recipe(filters: $filters, count: $count, mode: Mode::Tutor);
    }
}
