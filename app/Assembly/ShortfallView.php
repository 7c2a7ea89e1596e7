<?php

declare(strict_types=1);

namespace App\Assembly;

/** Why a test cannot be made as asked, and the ways out. */
final readonly class ShortfallView
{
    /**
     * @param  string  $sentence  All of it in words.
     * @param  string  $reason  Why, without the ways out.
     * @param  int|null  $below  The nearest smaller count that can be made.
     * @param  int|null  $above  The nearest larger count that can be made.
     * @param  list<TopicGivesView>  $topics  Where they are spread by hand: those that cannot give what is typed.
     * @param  list<GainView>  $gains  largest first
     */
    public function __construct(
        public string $sentence,
        public string $reason,
        public ?int $below,
        public ?int $above,
        public array $topics,
        public array $gains,
    ) {
    }
}
