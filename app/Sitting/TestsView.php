<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** All tests and sittings of an exam, a page at a time. */
#[OA\Schema(schema: 'Tests')]
final readonly class TestsView
{
    /**
     * @param  list<TestLineView>  $tests
     * @param  list<DeletedLineView>  $deleted
     */
    public function __construct(
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(description: 'Without search and filters.')] public int $all,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TestLineView::class))] public array $tests,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeletedLineView::class))] public array $deleted,
    ) {
    }
}
