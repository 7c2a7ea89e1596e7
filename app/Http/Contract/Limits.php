<?php

declare(strict_types=1);

namespace App\Http\Contract;

/** What a request may hold at the most and the least, as the page reads it: taken from the contract, no more. */
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

        return $code;
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
