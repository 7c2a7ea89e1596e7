<?php

declare(strict_types=1);

namespace App\Handbook;

final readonly class ReferenceTablesView
{
    /** @param  list<ReferenceTableView>  $tables */
    public function __construct(
        public array $tables,
    ) {
    }
}
