<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Question\Exam;
use Uplandia\Core\Assembly\Shortfall;

/** Says why there are too few questions, and the ways out. */
final readonly class ShortfallWords
{
    public function __construct(private Exam $exam, private User $user, private Syllabus $syllabus)
    {
    }

    public function sentence(Choices $choices, int $available): string
    {
        $there = match ($available) {
            0 => 'There are no questions with these choices',
            1 => 'There is 1 question with these choices',
            default => "There are {$available} questions with these choices",
        };
        $ways = [];
        if ($available > 0) {
            $ways[] = 'ask for '.($available === 1 ? '1' : "up to {$available}");
        }
        foreach ($this->gains($choices) as $filter => $gain) {
            $ways[] = match ($filter) {
                'pools' => "include all pools ({$gain} more)",
                default => "add the other topics ({$gain} more)",
            };
        }

        return "{$there}, and you asked for {$choices->count}. ".($ways === [] ? 'This exam has no more.' : ucfirst(implode(', or ', $ways)).'.');
    }

    /** @return array<string, int> */
    private function gains(Choices $choices): array
    {
        $bank = new Bank($this->exam, $this->user);
        $all = array_keys($bank->all());
        $topics = array_merge(...array_values($this->syllabus->chosen($choices->topics)));
        $here = array_sum($bank->available($topics, $choices->pools));

        return Shortfall::of(['all' => $choices->count], ['all' => $here], [
            'pools' => ['all' => array_sum($bank->available($topics, []))],
            'topics' => ['all' => array_sum($bank->available($all, $choices->pools))],
        ])->gainByFilter ?? [];
    }
}
