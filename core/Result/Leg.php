<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** How far along a test one was after a question, in milliseconds of active time. */
final readonly class Leg
{
    /**
     * @param  int  $position  of the question, from 0
     * @param  int  $spent  own times up to and with it
     * @param  int|null  $planned  what the pace plan gives for the marks answered up to and with it; null: there was
     *   no plan
     */
    public function __construct(public int $position, public int $spent, public ?int $planned)
    {
    }
}
