<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** One gap to type into: what is accepted and how forgivingly. */
final readonly class Gap
{
    /**
     * @param  list<string>  $accepted  at least one answer that is not empty
     * @param  bool  $stripAccents  "café" and "cafe" are the same
     * @param  bool  $allowSlip  one slip of the finger (Damerau–Levenshtein ≤ 1) is forgiven in answers of 5+ letters
     *
     * @throws InvalidQuestion
     */
    public function __construct(
        public array $accepted,
        public bool $stripAccents = false,
        public bool $allowSlip = false,
    ) {
        foreach ($accepted as $answer) {
            if (preg_replace('/[\s\p{Z}\p{Cf}]+/u', '', $answer) === '') {
                throw InvalidQuestion::because('An accepted answer cannot be empty.');
            }
        }
        if ($accepted === []) {
            throw InvalidQuestion::because('A gap needs at least one accepted answer.');
        }
    }
}
