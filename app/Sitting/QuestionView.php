<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\OptionOrder;
use Uplandia\Core\Assembly\Seed;

/** A question as a candidate sees it while sitting: nothing of its key. */
#[OA\Schema(schema: 'Question')]
final readonly class QuestionView
{
    /** @param  list<OptionView>  $options  in the order of this sitting */
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property] public string $kind,
        #[OA\Property] public string $marks,
        #[OA\Property(description: 'Markdown.')] public string $stem,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OptionView::class))] public array $options,
    ) {
    }

    /** @param  array<string, mixed>  $shown */
    public static function of(Sitting $sitting, int $position, string $kind, string $marks, array $shown): self
    {
        /** @var list<array{id: string, text: string, pinned?: bool}> $options */
        $options = $shown['options'] ?? [];
        $byId = array_column($options, null, 'id');
        $pinned = array_column(array_filter($options, fn (array $option): bool => $option['pinned'] ?? false), 'id');
        // Each sitting shuffles anew; the stored answer names options by id, so the order need not be stored.
        $order = (new OptionOrder((new Seed($sitting->id))->stream("options:{$position}")))->of(array_column($options, 'id'), $pinned);

        return new self($position, $kind, $marks, is_string($shown['stem'] ?? null) ? $shown['stem'] : '', array_map(fn (string $id) => new OptionView($id, $byId[$id]['text']), $order));
    }
}
