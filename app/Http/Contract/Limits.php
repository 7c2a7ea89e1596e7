<?php

declare(strict_types=1);

namespace App\Http\Contract;

use Uplandia\Core\Assembly\Recipe;

/** What a request may hold at the most and the least, as the page reads it: taken from the contract and the core. */
final class Limits
{
    public const FILE = 'resources/js/api/limits.ts';

    /** How the contract names a limit => how the page does. */
    private const NAMES = [
        'minimum' => 'least', 'maximum' => 'most',
        'minLength' => 'shortest', 'maxLength' => 'longest',
        'minItems' => 'fewest', 'maxItems' => 'many',
    ];

    /** One constant a request, so that a page takes only those that it asks for. */
    public static function typescript(string $contract): string
    {
        $code = "/** Written by `./uplandia contract` from openapi.json: what requests may hold. Not to be changed by hand. */\n";
        foreach (json_decode($contract, true)['components']['schemas'] as $name => $schema) {
            $limits = array_filter(array_map(self::of(...), $schema['properties'] ?? []));
            if (str_ends_with((string) $name, 'Request') && $limits !== []) {
                $code .= "\nexport const {$name} = {\n";
                foreach ($limits as $property => $limit) {
                    $code .= "  {$property}: { ".implode(', ', $limit)." },\n";
                }
                $code .= "} as const;\n";
            }
        }

        // What no schema tells, since it holds for some recipes alone.
        return $code."\n/** A test that adapts asks at most so many. */\nexport const ADAPTING = { least: "
            .Recipe::FEWEST_ADAPTING.', most: '.Recipe::MOST_ADAPTING." } as const;\n";
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return list<string>
     */
    private static function of(array $schema): array
    {
        $limits = [];
        foreach (self::NAMES as $limit => $name) {
            if (isset($schema[$limit])) {
                $limits[] = "{$name}: ".json_encode($schema[$limit]);
            }
        }

        return $limits;
    }
}
