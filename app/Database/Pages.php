<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Eloquent\Builder as Models;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Query\Builder;
use Illuminate\Pagination\LengthAwarePaginator;

/** Pages of a list. Whoever asks for one beyond the last gets the last: the list has grown shorter meanwhile. */
final class Pages
{
    /**
     * @template TModel of Model
     *
     * @param  Builder|Models<TModel>  $rows  in order
     * @param  int  $page  from 1
     * @param  list<string>  $columns
     * @param  int|null  $total  where it has been counted already
     * @return ($rows is Models<TModel> ? LengthAwarePaginator<int, TModel> : LengthAwarePaginator<int, \stdClass>)
     */
    public static function of(
        Builder|Models $rows,
        int $page,
        int $each,
        array $columns = ['*'],
        ?int $total = null,
    ): LengthAwarePaginator {
        $total ??= (clone $rows)->count();

        return $rows->paginate($each, $columns, page: min($page, self::last($total, $each)), total: $total);
    }

    /**
     * @template T
     *
     * @param  list<T>  $all
     * @return LengthAwarePaginator<int, T>
     */
    public static function among(array $all, int $page, int $each): LengthAwarePaginator
    {
        $page = min($page, self::last(count($all), $each));

        return new LengthAwarePaginator(array_slice($all, ($page - 1) * $each, $each), count($all), $each, $page);
    }

    public static function last(int $total, int $each): int
    {
        return max(1, intdiv($total + $each - 1, $each));
    }
}
