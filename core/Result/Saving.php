<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Brick\Math\BigRational;

/** What a section of the handbook would have saved: the marks lost on questions whose reasons refer to it. */
final readonly class Saving
{
    /**
     * @param  string  $section  its code
     * @param  BigRational  $marks  more than 0
     * @param  non-empty-list<int>  $positions  of the questions, in the order of the test
     */
    private function __construct(public string $section, public BigRational $marks, public array $positions)
    {
    }

    /**
     * Sections worth reading, those that would have saved most first, ties to the one that is met earlier. A question
     * that refers to several counts in full for each: reading any of them may have saved it.
     *
     * @param  list<QuestionResult>  $results  in the order of the test
     * @param  array<int, list<string>>  $references  position => codes of sections
     * @return list<self>
     */
    public static function rank(array $results, array $references): array
    {
        $marks = $positions = [];
        foreach ($results as $result) {
            $lost = $result->lost();
            foreach ($lost->getSign() > 0 ? array_unique($references[$result->position] ?? []) : [] as $section) {
                $marks[$section] = ($marks[$section] ?? BigRational::zero())->plus($lost)->simplified();
                $positions[$section][] = $result->position;
            }
        }
        $savings = [];
        foreach ($marks as $section => $lost) {
            $savings[] = new self((string) $section, $lost, $positions[$section]);
        }
        usort($savings, static fn (self $one, self $other): int => $other->marks->compareTo($one->marks));

        return $savings;
    }
}
