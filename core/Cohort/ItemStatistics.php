<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** Classical statistics of one question. Source: computation.md, section 7. */
final readonly class ItemStatistics
{
    /** Candidates are shown nothing that rests on fewer. */
    public const SHOWN_FROM = 20;

    /** A distractor that fewer choose is idle. */
    private const IDLE_BELOW = 0.05;

    /**
     * @param  int  $n  looks that count
     * @param  float  $facility  mean credit, 0 to 1
     * @param  float|null  $itemRest  correlation of credit with the mean credit on all other questions
     * @param  float|null  $upperLower  mean credit of the upper 27 % less that of the lower 27 %
     * @param  array<string, float>  $optionShares  option id => share of those who chose one
     * @param  array{float, float, float}|null  $quartilesMs  lower quartile, median, upper quartile of time
     */
    public function __construct(
        public int $n,
        public float $facility,
        public ?float $itemRest,
        public ?float $upperLower,
        public array $optionShares,
        public ?array $quartilesMs,
    ) {
    }

    public function mayBeShown(): bool
    {
        return $this->n >= self::SHOWN_FROM;
    }

    /**
     * Distractors that hardly anybody chooses.
     *
     * @param  list<string>  $options  all options
     * @param  list<string>  $keys
     * @return list<string>
     */
    public function idle(array $options, array $keys): array
    {
        return array_values(
            array_filter(
                $options,
                fn (string $id): bool => ! in_array($id, $keys, true) &&
                    ($this->optionShares[$id] ?? 0.0) < self::IDLE_BELOW,
            ),
        );
    }
}
