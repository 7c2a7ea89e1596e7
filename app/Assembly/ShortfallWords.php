<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Question\Exam;
use App\Question\Syllabus;
use Uplandia\Core\Assembly\Composition;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Shortfall;

/** Says why a count cannot be made, and the ways out. */
final readonly class ShortfallWords
{
    private const DROP = [
        'topics' => 'add the other topics',
        'pools' => 'include all pools',
        'difficulties' => 'any difficulty',
        'kinds' => 'any kind',
        'tags' => 'drop the tags',
        'words' => 'drop the search',
    ];

    public function __construct(private Bank $bank)
    {
    }

    /** @param  list<int>  $heldBack  questions that are left out anyway */
    public function sentence(
        Exam $exam,
        User $user,
        Recipe $recipe,
        Composition $composition,
        array $heldBack = [],
    ): string {
        $ways = [];
        if ($composition->below !== null) {
            $ways[] = 'ask for '.($composition->below === 1 ? '1' : 'up to '.$composition->below);
        }
        if ($composition->available >= $recipe->count) {
            $nearest = array_filter([$composition->below, $composition->above], is_int(...));

            return 'Some of these questions come together, as cases or sets, so exactly '.
                "{$recipe->count} cannot be made up. Ask for ".
                implode(' or ', $nearest).
                '.';
        }
        $there = match ($composition->available) {
            0 => 'There are no questions with these choices',
            1 => 'There is 1 question with these choices',
            default => "There are {$composition->available} questions with these choices",
        };
        foreach (
            $this->gains(
                exam: $exam,
                user: $user,
                recipe: $recipe,
                here: $composition->available,
                heldBack: $heldBack,
            ) as $filter => $gain
        ) {
            $ways[] = self::DROP[$filter]." ({$gain} more)";
        }

        return "{$there}, and you asked for {$recipe->count}. ".
            ($ways === [] ? 'This exam has no more.' : ucfirst(implode(', or ', $ways)).'.');
    }

    /**
     * @param  list<int>  $heldBack
     * @return array<string, int> filter => how many questions dropping it would add
     */
    private function gains(Exam $exam, User $user, Recipe $recipe, int $here, array $heldBack): array
    {
        $syllabus = Syllabus::of($exam);
        $without = [];
        foreach ($recipe->filters->dropped() as $name => $filters) {
            $without[$name] = [
                'all' => array_sum(
                    array_column(
                        $this->bank->supplies(
                            exam: $exam,
                            user: $user,
                            filters: $filters,
                            syllabus: $syllabus,
                            heldBack: $heldBack,
                        ),
                        'total',
                    ),
                ),
            ];
        }

        return Shortfall::of(['all' => $recipe->count], ['all' => $here], $without)->gainByFilter ?? [];
    }
}
