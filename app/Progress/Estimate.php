<?php

declare(strict_types=1);

namespace App\Progress;

use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use Uplandia\Core\Progress\Ability;
use Uplandia\Core\Progress\EvidenceGate;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\Surplus;

/** Where a candidate stands in each topic at the top, by the model of computation.md, section 8. */
final readonly class Estimate
{
    /** As few answers as may settle a topic in a result (computation.md, section 5). */
    public const SHOWN_FROM = 5;

    /** @var array<int, int> topic at the top => its place */
    private array $places;

    /**
     * @param  list<SyllabusTopic>  $topics  at the top, in the order of the blueprint; the rest goes by their places
     * @param  list<int>  $responses  independent ones
     * @param  list<Mastery|null>  $mastery  null: the bank has no question of it
     * @param  BestHours  $bestHours  when answers came out better or worse than expected
     */
    public function __construct(
        public array $topics,
        public array $responses,
        public Ability $ability,
        public array $mastery,
        public EvidenceGate $gate,
        public BestHours $bestHours,
        private Syllabus $syllabus,
    ) {
        $this->places = array_flip(array_column($topics, 'id'));
    }

    /**
     * What is expected of a question today: c + (1 − c)·σ(θ − b).
     *
     * @param  int  $topic  its own, at any level
     */
    public function expects(int $topic, float $b, float $luck): float
    {
        $place = $this->places[$this->syllabus->topOf($topic)->id];

        return Surplus::expected($this->ability->theta[$place], $b, $luck);
    }
}
