<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\Bank;
use App\Question\Candidacy;
use App\Question\SyllabusTopic;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\Outcome;

/** How much of the bank a candidate has seen, and how much of that went right at the latest look. */
final readonly class Coverage
{
    /**
     * @param  array<int, array<string, int>>  $met  as Bank::met has it
     * @param  array<int, int>  $all  live questions by topic
     */
    private function __construct(private array $met, private array $all)
    {
    }

    public static function of(Bank $bank, Candidacy $candidacy): self
    {
        return new self($bank->met($candidacy), DB::table('topics')->where('exam_id', $candidacy->exam->id)
            ->pluck('questions', 'id')
            ->map(fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)
            ->all());
    }

    /** @return array{all: int, seen: int, right: int} of some topics together */
    public function over(SyllabusTopic ...$topics): array
    {
        $covered = ['all' => 0, 'seen' => 0, 'right' => 0];
        foreach ($topics as $topic) {
            $of = $this->met[$topic->id] ?? [];
            // What was only marked is new still.
            unset($of['flagged'], $of['new']);
            $covered['all'] += $this->all[$topic->id] ?? 0;
            $covered['seen'] += array_sum($of);
            $covered['right'] += $of[Outcome::Right->value] ?? 0;
        }

        return $covered;
    }
}
