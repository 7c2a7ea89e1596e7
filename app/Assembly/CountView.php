<?php

declare(strict_types=1);

namespace App\Assembly;

/** How many questions some choices leave, and what to do when the count asked for cannot be made. */
final readonly class CountView
{
    /**
     * @param  int  $passing  How many questions pass, each by itself.
     * @param  int  $available  How many can be drawn: what belongs together comes whole, as soon as one of it passes.
     * @param  string  $name  Made of the choices.
     * @param  list<FitView>  $topics  By topic and subtopic, those of which any passes.
     * @param  ShortfallView|null  $shortfall  Null: it can be made.
     * @param  string|null  $leftOut  What is left out because a running sitting holds it; null: nothing.
     * @param  int|null  $reach  How many a test could ask that adapts; null: it does not.
     * @param  int  $minutes  Time limit that would be set if none is given, in minutes, before extra time.
     */
    public function __construct(
        public int $passing,
        public int $available,
        public string $name,
        public array $topics,
        public ?ShortfallView $shortfall,
        public ?string $leftOut,
        public int $minutes,
        public ?int $reach,
    ) {
    }
}
