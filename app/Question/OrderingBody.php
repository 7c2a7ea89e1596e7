<?php

declare(strict_types=1);

namespace App\Question;

/** Items to be put in order. */
final readonly class OrderingBody
{
    /**
     * @param  'ordering'  $kind
     * @param  list<OptionView>  $items  in an order of this sitting
     */
    public function __construct(
        public string $kind,
        public array $items,
    ) {
    }
}
