<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** What people answered, for calibration. Equal patterns may be given once with their count. */
final readonly class Patterns
{
    /** @var array<int, int> item => number of people who answered it */
    public array $perItem;

    /**
     * @param  list<array<int, float>>  $patterns  item => credit, 0 to 1; items not answered are absent
     * @param  list<int>  $counts  how many people gave each pattern
     * @param  int  $items  items are numbered from 0 to one less than this
     *
     * @throws InvalidData
     */
    public function __construct(public array $patterns, public array $counts, public int $items)
    {
        if (count($patterns) !== count($counts) || $patterns === [] || $items < 1) {
            throw InvalidData::because('Calibration needs people, a count for each pattern, and items.');
        }
        $perItem = array_fill(0, $items, 0);
        foreach ($patterns as $i => $pattern) {
            foreach ($pattern as $item => $credit) {
                if (! isset($perItem[$item]) || ! ($credit >= 0 && $credit <= 1)) {
                    throw InvalidData::because(
                        'A pattern names an item that does not exist, or a credit outside 0 to 1.',
                    );
                }
                $perItem[$item] += $counts[$i];
            }
        }
        $this->perItem = $perItem;
    }

    /**
     * One pattern a person.
     *
     * @param  list<array<int, float>>  $people
     *
     * @throws InvalidData
     */
    public static function ofPeople(array $people, int $items): self
    {
        return new self($people, array_fill(0, count($people), 1), $items);
    }
}
