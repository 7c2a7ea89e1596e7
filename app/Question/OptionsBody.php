<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;
use Uplandia\Core\Question\Kind;

/** One option, or several, to be chosen. */
#[OA\Schema(schema: 'OptionsBody')]
final readonly class OptionsBody
{
    /** @param  list<OptionView>  $options  in the order of this sitting */
    public function __construct(
        #[OA\Property(enum: [Kind::Single->value, Kind::Several->value])] public string $kind,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OptionView::class))] public array $options,
        #[
            OA\Property(nullable: true, description: 'Choosing more options than this is worth nothing.'),
        ]
        public ?int $limit,
    ) {
    }
}
