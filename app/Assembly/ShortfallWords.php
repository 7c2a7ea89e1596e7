<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Syllabus;
use Uplandia\Core\Assembly\Filter\Filter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Shortfall;

/** Says why a test cannot be made, and the ways out. */
final readonly class ShortfallWords
{
    public function __construct(private Bank $bank)
    {
    }

    /** @param  Plan  $plan  that comes to nothing */
    public function of(Recipe $recipe, Plan $plan, Syllabus $syllabus): ShortfallView
    {
        $enough = $plan->short === [] && $plan->available >= $recipe->count;
        $gains = $enough ? [] : $this->gains($recipe, $plan);
        $reason = match (true) {
            $plan->short !== [] => self::shortTopics($plan, $syllabus),
            $enough && $recipe->byTopic !== [] => 'Some of these questions come together, as cases or sets, so exactly '.
                'these counts cannot be made up.',
            $enough => 'Some of these questions come together, as cases or sets, so exactly '.
                "{$recipe->count} cannot be made up.",
            default => self::there($plan->available).", and you asked for {$recipe->count}.",
        };

        return new ShortfallView(
            sentence: trim($reason.' '.self::ways($plan, $gains, $enough)),
            reason: $reason,
            below: $plan->below,
            above: $plan->above,
            topics: self::topics($recipe, $plan, $syllabus),
            gains: $gains,
        );
    }

    /** @return list<TopicGivesView> */
    private static function topics(Recipe $recipe, Plan $plan, Syllabus $syllabus): array
    {
        $short = [];
        foreach ($recipe->byTopic === [] ? [] : $plan->codes as $i => $code) {
            $wanted = $recipe->byTopic[$code];
            $n = min($wanted, $plan->supplies[$i]->total);
            while ($n > 0 && ! $plan->supplies[$i]->makes($n)) {
                $n--;
            }
            if ($n < $wanted) {
                $short[] = new TopicGivesView($code, $syllabus->named($code)->name, $n);
            }
        }

        return $short;
    }

    /** @param  list<GainView>  $gains */
    private static function ways(Plan $plan, array $gains, bool $enough): string
    {
        $nearest = array_filter([$plan->below, $plan->above], is_int(...));
        if ($enough) {
            return $nearest === [] ? '' : 'Ask for '.implode(' or ', $nearest).'.';
        }
        $ways = $plan->below === null ? [] : ['ask for '.($plan->below === 1 ? '1' : "up to {$plan->below}")];
        foreach ($gains as $gain) {
            $ways[] = "{$gain->label} ({$gain->more} more)";
        }

        return $ways === [] ? 'This exam has no more.' : ucfirst(implode(', or ', $ways)).'.';
    }

    private static function shortTopics(Plan $plan, Syllabus $syllabus): string
    {
        $short = [];
        foreach ($plan->short as $code => $n) {
            $has = $plan->supplies[(int) array_search((string) $code, $plan->codes, true)]->total;
            $short[] = $syllabus->named((string) $code)->name." has {$has} of the ".($has + $n).' asked for';
        }

        return implode('; ', $short).'.';
    }

    private static function there(int $available): string
    {
        return match ($available) {
            0 => 'There are no questions with these choices',
            1 => 'There is 1 question with these choices',
            default => "There are {$available} questions with these choices",
        };
    }

    /** @return list<GainView> what dropping each filter would add, largest first */
    private function gains(Recipe $recipe, Plan $plan): array
    {
        $here = array_sum(array_column($plan->byTopic, 'total'));
        $dropped = $recipe->filters->dropped();
        $without = array_map(
            fn (Filters $filters): array => ['all' => $this->bank->available($plan->selection->by($filters))],
            $dropped,
        );
        /** @var array<class-string<Filter>, int> $gains */
        $gains = Shortfall::of(['all' => $here + 1], ['all' => $here], $without)->gainByFilter ?? [];

        return array_map(
            fn (string $filter): GainView => new GainView($filter::key(), $filter::wayOut(), $gains[$filter]),
            array_keys($gains),
        );
    }
}
