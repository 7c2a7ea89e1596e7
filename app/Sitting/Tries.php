<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\TestItem;
use App\Assembly\TestItems;
use Uplandia\Core\Sitting\State;

/** Says what came of the tries in a sitting. */
final readonly class Tries
{
    public function __construct(private TestItems $items)
    {
    }

    /**
     * @param  list<int>|null  $positions  null: all
     * @return array<int, list<TryView>> by position, of those that were tried
     */
    public function of(Sitting $sitting, State $state, ?array $positions): array
    {
        $tried = array_values(array_filter(
            $positions ?? array_keys($state->questions),
            fn (int $position): bool => ($state->questions[$position]->tries ?? []) !== [],
        ));
        $views = [];
        foreach ($tried === [] ? [] : $this->items->of($sitting->test_id, $tried) as $position => $item) {
            $views[$position] = $this->views($item, $state->questions[$position]->tries);
        }

        return $views;
    }

    /**
     * @param  list<array<mixed>>  $tries
     * @return list<TryView>
     */
    public function views(TestItem $item, array $tries): array
    {
        return array_map(
            fn (array $try): TryView => new TryView(
                response: (object) $try,
                outcome: $item->question->mark($try)->outcome,
            ),
            $tries,
        );
    }
}
