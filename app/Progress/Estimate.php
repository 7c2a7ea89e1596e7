<?php

declare(strict_types=1);

namespace App\Progress;

use App\Question\SyllabusTopic;
use Uplandia\Core\Progress\Ability;
use Uplandia\Core\Progress\EvidenceGate;
use Uplandia\Core\Progress\Mastery;

/** Where a candidate stands in each topic at the top, by the model of computation.md, section 8. */
final readonly class Estimate
{
    /** As few answers as may settle a topic in a result (computation.md, section 5). */
    public const SHOWN_FROM = 5;

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
    ) {
    }
}
