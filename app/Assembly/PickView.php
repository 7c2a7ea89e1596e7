<?php

declare(strict_types=1);

namespace App\Assembly;

use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\UnitKind;

/** A question to pick: what tells it from others, and nothing of its answer. */
final readonly class PickView
{
    /**
     * @param  string  $excerpt  The beginning of its stem, without mark-up.
     * @param  Outcome|null  $outcome  The latest; null: new to the candidate.
     * @param  UnitKind|null  $unit  Picked whole; null: it stands alone.
     */
    public function __construct(
        public int $id,
        public string $excerpt,
        public string $topic,
        public Kind $kind,
        public Difficulty $difficulty,
        public ?Outcome $outcome,
        public bool $flagged,
        public ?UnitKind $unit,
    ) {
    }
}
