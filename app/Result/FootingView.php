<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Footing;

/** Sureness against outcome, counted. */
#[OA\Schema(schema: 'Footing')]
final readonly class FootingView
{
    public function __construct(
        #[OA\Property(description: 'Sure and right.')] public int $firm,
        #[OA\Property(description: 'Sure and wrong.')] public int $falseFooting,
        #[OA\Property(description: 'A guess and right.')] public int $luckyStep,
        #[OA\Property(description: 'A guess and wrong.')] public int $openGround,
    ) {
    }

    /** @param  array<string, int>  $counts  by Footing value */
    public static function of(array $counts): self
    {
        return new self(
            ...array_map(fn (Footing $footing): int => $counts[$footing->value], [
                Footing::Firm,
                Footing::FalseFooting,
                Footing::LuckyStep,
                Footing::OpenGround,
            ]),
        );
    }
}
