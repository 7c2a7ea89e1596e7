<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** Whether there is enough evidence to show a pass outlook, and what is missing. Source: computation.md, section 8. */
final readonly class EvidenceGate
{
    public const RESPONSES = 40;

    public const WEIGHT_SHARE = 0.6;

    private function __construct(
        /** Independent responses still wanted; 0: enough. */
        public int $responsesMissing,
        /** Share of the blueprint's weight that responses touch, 0 to 1. */
        public float $weightTouched,
        /** @var list<int> topics without a response, heaviest first */
        public array $untouched,
    ) {
    }

    /**
     * @param  list<int>  $responses  independent responses, by topic
     * @param  list<float>  $weights  of the blueprint, by topic
     */
    public static function of(array $responses, array $weights): self
    {
        $touched = 0.0;
        $untouched = [];
        foreach ($weights as $t => $weight) {
            if (($responses[$t] ?? 0) > 0) {
                $touched += $weight;
            } else {
                $untouched[$t] = $weight;
            }
        }
        arsort($untouched);
        $all = array_sum($weights);

        return new self(
            max(0, self::RESPONSES - array_sum($responses)),
            $all > 0 ? $touched / $all : 0.0,
            array_keys($untouched),
        );
    }

    public function isOpen(): bool
    {
        return $this->responsesMissing === 0 && self::isTouched($this->weightTouched);
    }

    /** Whether what was answered touches enough of the exam. */
    public static function isTouched(float $weight): bool
    {
        // Weights are decimals: 0.6 may come out a hair below itself.
        return $weight >= self::WEIGHT_SHARE - 1e-9;
    }
}
