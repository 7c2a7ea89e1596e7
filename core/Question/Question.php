<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** What marking needs to know of a question: its kind, what may be answered, what is right, and the rule. */
interface Question
{
    public function kind(): Kind;
}
