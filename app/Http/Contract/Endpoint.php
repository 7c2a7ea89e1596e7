<?php

declare(strict_types=1);

namespace App\Http\Contract;

use OpenApi\Attributes as OA;

/** Turns the few words of a route's attribute into its part of the contract: parameters, body and answers. */
final class Endpoint
{
    /**
     * @param  class-string|null  $takes  schema of the body
     * @param  class-string|null  $returns  schema of the answer; null: no content
     * @return array<string, mixed> named arguments of an OpenAPI operation
     */
    public static function described(
        string $path,
        string $summary,
        ?string $takes,
        ?string $returns,
        int $status,
    ): array {
        preg_match_all('/\{(\w+)\}/', $path, $names);
        $word = strtolower((string) preg_replace('/[^A-Za-z]+/', ' ', $summary));

        return array_filter(
            [
                'path' => $path,
                'summary' => $summary,
                'operationId' => lcfirst(str_replace(' ', '', ucwords(trim($word)))),
                'parameters' => array_map(
                    static fn (string $name) => new OA\PathParameter(
                        name: $name,
                        required: true,
                        schema: new OA\Schema(type: $name === 'position' ? 'integer' : 'string'),
                    ),
                    $names[1],
                ),
                'requestBody' => $takes === null
                        ? null
                        : new OA\RequestBody(required: true, content: new OA\JsonContent(ref: $takes)),
                'responses' => [
                    $returns === null
                        ? new OA\Response(response: 204, description: 'Done.')
                        : new OA\Response(
                            response: $status,
                            description: 'As asked.',
                            content: new OA\JsonContent(ref: $returns),
                        ),
                    new OA\Response(
                        response: 'default',
                        description: 'It could not be done; the message says why.',
                        content: new OA\JsonContent(ref: ProblemView::class),
                    ),
                ],
            ],
            static fn (mixed $part): bool => $part !== null && $part !== [],
        );
    }
}
