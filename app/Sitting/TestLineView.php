<?php

declare(strict_types=1);

namespace App\Sitting;

use Uplandia\Core\Assembly\Mode;

/** A sitting in the list of all. */
final readonly class TestLineView
{
    /**
     * @param  string  $examName  Of which exam it is.
     * @param  int|null  $leftMs  Until its time is up, whether anybody is there or not. Null: no clock runs on.
     * @param  bool  $timeUp  Time has run out, and it has not been closed.
     * @param  bool  $waits  The same, and its device may still hold answers.
     * @param  string|null  $share  Of the marks, in per cent as its result says it; null: not handed in, or adaptive.
     * @param  OutcomeCountsView|null  $outcomes  Null: not handed in, adaptive, or a test that runs asks the same.
     * @param  int  $activeMs  On it.
     * @param  int|null  $touchedAt  When it was handed in, else last worked on.
     * @param  bool  $fresh  Whether it can be made again with fresh questions.
     * @param  bool  $same  Whether its questions can be sat again as they are.
     * @param  string  $noteTitle  Of what was written of it as a whole.
     * @param  string  $note  That; empty: nothing.
     * @param  bool  $choices  Whether it was made of choices of its candidate's, which can be changed.
     * @param  bool  $along  Whether it can be taken along as it lies here: no clock begins with that.
     * @param  bool  $mine  Whether its candidate made it, and so can share it.
     * @param  string|null  $code  By which it is shared now.
     * @param  bool|null  $agrees  To be compared; null: it is not shared.
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $examName,
        public Mode $mode,
        public bool $onPaper,
        public Stage $state,
        public ?int $leftMs,
        public bool $timeUp,
        public bool $waits,
        public int $questions,
        public int $answered,
        public ?string $share,
        public ?OutcomeCountsView $outcomes,
        public int $activeMs,
        public int $madeAt,
        public ?int $touchedAt,
        public bool $fresh,
        public bool $same,
        public string $noteTitle,
        public string $note,
        public bool $choices,
        public bool $along,
        public bool $mine,
        public ?string $code,
        public ?bool $agrees,
    ) {
    }
}
