<?php

declare(strict_types=1);

namespace App\Scoring;

use OpenApi\Attributes as OA;

/** The key of a question, in the fields that its kind needs. */
#[OA\Schema(schema: 'Answer')]
final readonly class AnswerView
{
    /**
     * @param  list<string>  $options
     * @param  list<string>  $order
     * @param  list<SlipView>  $slips
     * @param  list<RegionView>  $targets
     * @param  list<RegionView>  $decoys
     * @param  list<CriterionView>  $rubric
     * @param  list<string>  $evidence
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'Ids of the options that are right.')] public array $options,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'), description: 'Row id: id of its right choice.')] public object $rows,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'Item ids in their right order.')] public array $order,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'), description: 'Gap id: an accepted answer.')] public object $gaps,
        #[OA\Property(nullable: true)] public ?string $value,
        #[OA\Property(nullable: true, description: 'How far off still counts.')] public ?string $tolerance,
        #[OA\Property(nullable: true)] public ?string $unit,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SlipView::class))] public array $slips,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RegionView::class))] public array $targets,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RegionView::class))] public array $decoys,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CriterionView::class))] public array $rubric,
        #[OA\Property(nullable: true, description: 'A model answer. Markdown.')] public ?string $model,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'Sentences of the passage that prove it.')] public array $evidence,
    ) {
    }

    /** @param  array<string, mixed>  $answer  as stored */
    public static function of(array $answer): self
    {
        $list = fn (string $name): array => is_array($answer[$name] ?? null) ? array_values($answer[$name]) : [];
        $map = fn (string $name): array => is_array($answer[$name] ?? null) ? $answer[$name] : [];
        $text = fn (string $name): ?string => is_scalar($answer[$name] ?? null) ? (string) $answer[$name] : null;
        $options = is_string($answer['key'] ?? null) ? [$answer['key']] : array_filter($list('keys'), is_string(...));
        $byRow = array_is_list($map('keys')) ? [] : $map('keys');
        $unit = array_search('1', array_map(strval(...), $map('units')), true);

        return new self(
            $byRow === [] ? array_values($options) : [], (object) $byRow, $list('order'), (object) array_map(fn (array $gap): string => (string) $gap['accepted'][0], $map('gaps')),
            $text('value'), $text('absolute'), is_string($unit) ? $unit : null,
            array_map(fn (array $slip) => new SlipView((string) $slip['value'], $slip['why']), $list('slips')),
            array_map(RegionView::of(...), $list('targets')), array_map(RegionView::of(...), $list('decoys')),
            array_map(fn (array $one) => new CriterionView((string) $one['id'], $one['text'], (string) ($one['points'] ?? 1), (string) ($one['why'] ?? '')), $list('rubric')),
            $text('model'), array_values(array_filter($list('evidence'), is_string(...))),
        );
    }
}
