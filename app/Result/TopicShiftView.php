<?php

declare(strict_types=1);

namespace App\Result;

/** A topic in two sittings. */
final readonly class TopicShiftView
{
    /**
     * @param  GroupView|null  $earlier  Null: nothing of it was asked.
     * @param  GroupView|null  $later  Null: nothing of it was asked.
     * @param  ShiftView|null  $shift  Null: one of them says nothing.
     */
    public function __construct(
        public string $name,
        public ?GroupView $earlier,
        public ?GroupView $later,
        public ?ShiftView $shift,
    ) {
    }
}
