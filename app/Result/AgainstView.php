<?php

declare(strict_types=1);

namespace App\Result;

/** Two sittings held against each other, the earlier first. */
final readonly class AgainstView
{
    /**
     * @param  ShiftView|null  $shift  Null: one of them says nothing.
     * @param  bool  $adaptive  One of them is adaptive: whoever knows more is asked what is harder, so no shares
     *     are compared.
     * @param  list<TopicShiftView>  $topics  In the order of the blueprint.
     * @param  list<MetAgainView>  $again  In the order of the later.
     */
    public function __construct(
        public string $exam,
        public SideView $earlier,
        public SideView $later,
        public ?ShiftView $shift,
        public bool $adaptive,
        public array $topics,
        public array $again,
    ) {
    }
}
