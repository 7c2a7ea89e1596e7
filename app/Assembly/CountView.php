<?php

declare(strict_types=1);

namespace App\Assembly;

/** How many questions some choices leave, in whole units, and what to do when the count asked for cannot be made. */
final readonly class CountView
{
    /**
     * @param  string  $name  Made of the choices.
     * @param  list<FitView>  $topics  By topic and subtopic, those of which any passes.
     * @param  ShortfallView|null  $shortfall  Null: it can be made.
     * @param  string|null  $leftOut  What is left out because a running sitting holds it; null: nothing.
     * @param  int  $minutes  Time limit that would be set if none is given, in minutes, before extra time.
     */
    public function __construct(
        public int $available,
        public string $name,
        public array $topics,
        public ?ShortfallView $shortfall,
        public ?string $leftOut,
        public int $minutes,
    ) {
    }
}
