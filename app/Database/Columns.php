<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOStatement;

/**
 * Reads columns past Eloquent and its objects: an answer may hold the whole bank, and 100,000 objects cost ten times
 * as much.
 */
final class Columns
{
    /** @return list<int> of one column */
    public static function first(Builder $query): array
    {
        /** @var list<int> $values */
        $values = self::execute($query)->fetchAll(PDO::FETCH_COLUMN);

        return $values;
    }

    /** @return array<int, list<int>> the second of two columns by the first */
    public static function grouped(Builder $query): array
    {
        return self::execute($query)->fetchAll(PDO::FETCH_GROUP | PDO::FETCH_COLUMN);
    }

    /** @return array<int, int|null> the second of two columns by the first, which names each row */
    public static function pairs(Builder $query): array
    {
        return self::execute($query)->fetchAll(PDO::FETCH_KEY_PAIR);
    }

    /**
     * Rows as lists, read as they come.
     *
     * @return iterable<list<int|string|null>>
     */
    public static function rows(Builder $query): iterable
    {
        $statement = self::execute($query);
        while (is_array($row = $statement->fetch(PDO::FETCH_NUM))) {
            yield $row;
        }
    }

    private static function execute(Builder $query): PDOStatement
    {
        $from = microtime(true);
        $connection = DB::connection();
        $bindings = $connection->prepareBindings($query->getBindings());
        $statement = $connection->getReadPdo()->prepare($query->toSql());
        $statement->execute($bindings);
        $connection->logQuery($query->toSql(), $bindings, 1000 * (microtime(true) - $from));

        return $statement;
    }
}
