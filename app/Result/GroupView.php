<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Result\Group;
use Uplandia\Core\Result\Status;

/** What a topic, subtopic or section came to, and where it stands against the cut. */
final readonly class GroupView
{
    /**
     * @param  Status  $status  Against the cut, by the bounds.
     * @param  float|null  $share  Share of the marks of what is settled, 0 to 1; null: nothing is.
     * @param  float  $low  Of the share, 8 times in 10.
     * @param  float  $high  Of the share, 8 times in 10.
     * @param  bool  $thin  Too few questions are settled to call it above or below.
     * @param  list<int>  $questions  Their positions.
     * @param  list<self>  $parts
     */
    public function __construct(
        public string $code,
        public string $name,
        public TallyView $tally,
        public Status $status,
        public ?float $share,
        public float $low,
        public float $high,
        public bool $thin,
        public array $questions,
        public array $parts,
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
            questions: $group->positions,
            parts: $parts,
        );
    }
}
