<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ReferenceTables')]
final readonly class ReferenceTablesView
{
    /** @param  list<ReferenceTableView>  $tables */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReferenceTableView::class))] public array $tables,
    ) {
    }
}
