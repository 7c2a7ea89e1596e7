<?php

declare(strict_types=1);

namespace App\Question;

/** One option, or several, to be chosen. */
final readonly class OptionsBody
{
    /**
     * @param  'single'|'several'  $kind
     * @param  list<OptionView>  $options  in the order of this sitting
     * @param  bool  $voids  Whether more may be chosen all the same, as this exam has it.
     * @param  int|null  $limit  Choosing more options than this is worth nothing.
     */
    public function __construct(
        public string $kind,
        public array $options,
        public ?int $limit,
        public bool $voids,
    ) {
    }
}
