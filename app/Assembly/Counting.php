<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Candidacy;
use App\Question\Syllabus;
use Uplandia\Core\Assembly\Recipe;

/** Says what some choices come to before anything is built, topic by topic. */
final readonly class Counting
{
    public function __construct(private Planner $planner, private Bank $bank, private ShortfallWords $words)
    {
    }

    public function count(Candidacy $candidacy, Recipe $recipe): CountView
    {
        $syllabus = $candidacy->syllabus();
        $plan = $this->planner->plan($candidacy, $recipe);
        $reach = $recipe->adapting ? $this->bank->reach($plan->selection) : null;

        return new CountView(
            passing: array_sum($plan->passing),
            available: array_sum(array_column($plan->byTopic, 'total')),
            name: TestName::of($recipe, $syllabus),
            topics: self::topics($plan, $syllabus),
            shortfall: ($recipe->adapting ? $reach === 0 : $plan->counts === null)
                ? $this->words->of($recipe, $plan, $syllabus)
                : null,
            leftOut: $plan->holdsBack ? $this->leftOut($plan) : null,
            minutes: TestBuilder::minutesFor($candidacy->exam, $recipe->count),
            reach: $reach,
        );
    }

    /** @return list<FitView> */
    private static function topics(Plan $plan, Syllabus $syllabus): array
    {
        $given = $plan->counts === null ? [] : array_combine($plan->codes, $plan->counts);
        $fits = [];
        foreach ($syllabus->tops() as $top) {
            $parts = $fitting = [];
            $own = $plan->byTopic[$top->id]->total ?? 0;
            $fit = $plan->passing[$top->id] ?? 0;
            foreach ($syllabus->under($top) as $sub) {
                $n = $plan->byTopic[$sub->id]->total ?? 0;
                $own += $n;
                $fit += $fitting[$sub->code] = $plan->passing[$sub->id] ?? 0;
                if ($n > 0 || $fitting[$sub->code] > 0) {
                    $parts[] = [$sub->code, $n];
                }
            }
            if ($fit === 0 && $own === 0) {
                continue;
            }
            $drawn = $plan->counts === null ? null : $given[$top->code] ?? 0;
            // By hand, what is typed beside its parts is the topic's too.
            $byHand = array_sum(array_intersect_key($given, array_flip(array_column($parts, 0))));
            $fits[] = new FitView($top->code, $fit, $drawn === null ? null : $drawn + $byHand);
            foreach ($parts as [$code, $n]) {
                $fits[] = new FitView($code, $fitting[$code], match (true) {
                    $drawn === null => null,
                    isset($given[$code]) => $given[$code],
                    $drawn === 0 => 0,
                    count($parts) === 1 || $drawn + $byHand === $own => min($n, $drawn),
                    default => null,
                });
            }
        }

        return $fits;
    }

    private function leftOut(Plan $plan): ?string
    {
        $left = $this->bank->available($plan->selection->without([]))
            - array_sum(array_column($plan->byTopic, 'total'));

        $where = 'in a timed test of yours that is not handed in (or that you deleted in the last ten minutes).';

        return match ($left) {
            0 => null,
            1 => "1 question is left out: it is {$where}",
            default => "{$left} questions are left out: they are {$where}",
        };
    }
}
