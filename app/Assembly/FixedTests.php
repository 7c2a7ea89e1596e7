<?php

declare(strict_types=1);

namespace App\Assembly;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The one test that everybody sits who sits a fixed list of questions. When the list or one of its questions has
 * changed, the next sitting gets a new test; those sat before keep theirs.
 *
 * @phpstan-import-type Item from Test
 */
final class FixedTests
{
    /**
     * @param  Builder<Test>  $made  those made from the list before
     * @param  array<string, mixed>  $settings  columns of the test
     * @param  list<Item>  $items
     */
    public function of(Builder $made, array $settings, array $items, ?int $minutes): Test
    {
        return DB::transaction(function () use ($made, $settings, $items, $minutes): Test {
            foreach ($made->get() as $test) {
                if ($test->minutes === $minutes && $test->title === $settings['title'] && $test->items() == $items) {
                    return $test;
                }
            }

            return Test::createWith($settings, $items, $minutes);
        });
    }
}
