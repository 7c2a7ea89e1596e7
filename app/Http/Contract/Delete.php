<?php

declare(strict_types=1);

namespace App\Http\Contract;

use OpenApi\Attributes as OA;

#[\Attribute(\Attribute::TARGET_METHOD)]
final class Delete extends OA\Delete
{
    /**
     * @param  class-string|null  $takes
     * @param  class-string|null  $returns
     */
    public function __construct(
        string $path,
        string $summary,
        ?string $takes = null,
        ?string $returns = null,
        int $status = 200,
    ) {
        parent::__construct(
            ...Endpoint::described(path: $path, summary: $summary, takes: $takes, returns: $returns, status: $status),
        );
    }
}
