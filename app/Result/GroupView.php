<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Group;
use Uplandia\Core\Result\Status;
use Uplandia\Core\Shown;

/** What a topic, subtopic or section came to, and where it stands against the cut. */
#[OA\Schema(schema: 'Group')]
final readonly class GroupView
{
    /**
     * @param  list<int>  $questions
     * @param  list<self>  $parts
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(ref: TallyView::class)] public TallyView $tally,
        #[OA\Property(description: 'Against the cut, by the bounds.', enum: Status::class)] public Status $status,
        #[
            OA\Property(
                nullable: true,
                description: 'Share of the marks of what is settled, 0 to 1; null: nothing is.',
            ),
        ]
        public ?float $share,
        #[OA\Property(description: 'Of the share, 8 times in 10.')] public float $low,
        #[OA\Property(description: 'Of the share, 8 times in 10.')] public float $high,
        #[OA\Property(description: 'Too few questions are settled to call it above or below.')] public bool $thin,
        #[OA\Property(description: 'Marks that wrong answers took away.')] public string $penalties,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'), description: 'Their positions.')]
        public array $questions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/Group'))] public array $parts,
    ) {
    }

    /** Where shares would be taken for what they are not. */
    public function withoutShares(): self
    {
        return new self(...['tally' => $this->tally->withoutShares(), 'share' => null] + get_object_vars($this));
    }

    /** @param  list<self>  $parts */
    public static function of(string $code, string $name, Group $group, array $parts = []): self
    {
        return new self(
            code: $code,
            name: $name,
            tally: TallyView::of($group->totals, $group->meanMs),
            status: $group->against->status,
            share: $group->against->share,
            low: $group->against->bounds->low,
            high: $group->against->bounds->high,
            thin: $group->against->isThin($group->totals),
            penalties: Shown::decimal($group->totals->penalties),
            questions: $group->positions,
            parts: $parts,
        );
    }
}
