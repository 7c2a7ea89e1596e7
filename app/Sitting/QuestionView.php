<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\OptionOrder;
use Uplandia\Core\Assembly\Seed;

/** A question as a candidate sees it while sitting: nothing of its key. Which fields are filled depends on its kind. */
#[OA\Schema(schema: 'Question')]
final readonly class QuestionView
{
    /**
     * @param  list<OptionView>  $options  in the order of this sitting
     * @param  list<RowView>  $rows
     * @param  list<OptionView>  $choices  that all rows share
     * @param  list<OptionView>  $items  to be put in order
     */
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property(enum: ['single', 'several', 'true_false_grid', 'ordering', 'matching', 'grouping', 'dropdown_gaps', 'typed_gaps', 'number', 'picture', 'written'])] public string $kind,
        #[OA\Property] public string $marks,
        #[OA\Property(description: 'Markdown. Gaps are marked [[id]].')] public string $stem,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OptionView::class))] public array $options,
        #[OA\Property(nullable: true, description: 'Choosing more options than this is worth nothing.')] public ?int $limit,
        #[OA\Property(type: 'array', items: new OA\Items(ref: RowView::class))] public array $rows,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OptionView::class))] public array $choices,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OptionView::class))] public array $items,
        #[OA\Property(ref: PictureView::class, nullable: true)] public ?PictureView $picture,
        #[OA\Property(nullable: true, description: 'How many places to point at.')] public ?int $points,
        #[OA\Property(nullable: true, description: 'What stands behind a number.')] public ?string $suffix,
        #[OA\Property(description: 'Whether a number needs a unit.')] public bool $asksUnit,
        #[OA\Property(nullable: true, description: 'Share of its marks that a wrong answer costs, such as 1/3.')] public ?string $penalty,
        #[OA\Property(nullable: true, description: 'Code of the case, passage or series it belongs to.')] public ?string $unit,
    ) {
    }

    /** @param  array<string, mixed>  $shown */
    public static function of(Sitting $sitting, int $position, string $kind, string $marks, array $shown, ?string $unit = null, string $penalty = '0'): self
    {
        // Each sitting shuffles anew; the stored answer names parts by id, so the order need not be stored.
        $shuffled = fn (string $what, mixed $parts): array => self::shuffled(new OptionOrder((new Seed($sitting->id))->stream("{$what}:{$position}")), self::parts($parts));
        $choices = self::parts($shown['choices'] ?? []);
        $rows = array_map(fn (array $row): RowView => new RowView($row['id'], $row['text'], isset($row['choices']) ? $shuffled("choices:{$row['id']}", $row['choices']) : null), self::parts($shown['rows'] ?? []));
        $picture = is_array($shown['picture'] ?? null) ? $shown['picture'] : null;

        return new self(
            $position, $kind, $marks, is_string($shown['stem'] ?? null) ? $shown['stem'] : '',
            $shuffled('options', $shown['options'] ?? []), is_int($shown['limit'] ?? null) ? $shown['limit'] : null, $rows,
            // Groups and true or false have an order of their own.
            $kind === 'matching' ? $shuffled('choices', $shown['choices'] ?? []) : array_map(self::option(...), $choices),
            $shuffled('items', $shown['items'] ?? []),
            $picture === null ? null : new PictureView((string) $picture['file'], (string) $picture['alt'], (int) $picture['width'], (int) $picture['height']),
            is_int($shown['points'] ?? null) ? $shown['points'] : null, is_string($shown['suffix'] ?? null) ? $shown['suffix'] : null, ($shown['asksUnit'] ?? false) === true, $penalty === '0' ? null : $penalty, $unit,
        );
    }

    /**
     * @param  list<array{id: string, text: string, pinned?: bool, choices?: mixed}>  $parts
     * @return list<OptionView>
     */
    private static function shuffled(OptionOrder $order, array $parts): array
    {
        $byId = array_column($parts, null, 'id');
        $pinned = array_column(array_filter($parts, fn (array $part): bool => $part['pinned'] ?? false), 'id');

        return array_map(fn (string $id): OptionView => self::option($byId[$id]), $order->of(array_column($parts, 'id'), $pinned));
    }

    /** @param  array{id: string, text: string}  $part */
    private static function option(array $part): OptionView
    {
        return new OptionView($part['id'], $part['text']);
    }

    /** @return list<array{id: string, text: string, pinned?: bool, choices?: mixed}> */
    private static function parts(mixed $parts): array
    {
        if (! is_array($parts)) {
            return [];
        }
        /** @var list<array{id: string, text: string, pinned?: bool, choices?: mixed}> $list */
        $list = array_values($parts);

        return $list;
    }
}
