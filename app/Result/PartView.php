<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Marking\Verdict;

/** One part of an explained question: what it is, what was answered, what is right, and why. */
final readonly class PartView
{
    /**
     * @param  string  $text  Markdown.
     * @param  string  $why  Markdown.
     * @param  string|null  $right  What is right here, in words; null: the part itself says it.
     * @param  string|null  $mine  What was answered here, in words; null: nothing, or the part itself says it.
     * @param  bool  $ruledOut  The candidate had ruled it out.
     * @param  RegionView|null  $region  Of a target or decoy.
     */
    public function __construct(
        public string $id,
        public PartRole $role,
        public string $text,
        public string $why,
        public Verdict $verdict,
        public ?string $right = null,
        public ?string $mine = null,
        public bool $ruledOut = false,
        public ?RegionView $region = null,
    ) {
    }
}
