<?php

declare(strict_types=1);

namespace App\Progress;

/** How far an adaptive test can go in a bank. */
final readonly class AdaptiveOfferView
{
    /**
     * @param  int  $reach  Questions that one test could ask of this bank.
     * @param  int  $least  It does not end before so many.
     * @param  list<AdaptiveChoiceView>  $choices  shortest first
     */
    public function __construct(
        public int $reach,
        public int $least,
        public array $choices,
    ) {
    }
}
