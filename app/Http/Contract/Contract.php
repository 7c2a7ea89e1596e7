<?php

declare(strict_types=1);

namespace App\Http\Contract;

use OpenApi\Annotations as Annotated;
use OpenApi\Generator;
use Psr\Log\NullLogger;

/** Reads the attributes of the controllers and views and makes the one contract of them. */
final class Contract
{
    public const FILE = 'openapi.json';

    /** The contract as it should be on disk. */
    public static function json(): string
    {
        $api = (new Generator(new NullLogger()))->setVersion(Annotated\OpenApi::VERSION_3_1_0)->generate([app_path()]);
        assert($api !== null);
        /** @var array{components: array{schemas: array<string, array<string, mixed>>}} $document */
        $document = json_decode($api->toJson(), true, 64, JSON_THROW_ON_ERROR);
        foreach ($document['components']['schemas'] as $name => $schema) {
            $document['components']['schemas'][$name] = self::strict($schema);
        }
        ksort($document['components']['schemas']);

        return self::encode($document);
    }

    /**
     * A view always has all of its properties and no others; a request body lists those it needs by itself.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function strict(array $schema): array
    {
        if (! isset($schema['required']) && is_array($schema['properties'] ?? null)) {
            $schema['required'] = array_keys($schema['properties']);
            $schema['additionalProperties'] = false;
        }
        foreach (is_array($schema['properties'] ?? null) ? $schema['properties'] : [] as $name => $property) {
            // A property typed as one of our enums is the text that stands for it.
            $types = array_map(
                fn (string $type): string => enum_exists($type) ? 'string' : $type,
                (array) ($property['type'] ?? []),
            );
            if ($types !== []) {
                $schema['properties'][$name]['type'] = count($types) === 1 ? $types[0] : $types;
            }
            // A property that may be null must list null among its values too.
            if (isset($property['enum']) && in_array('null', (array) ($property['type'] ?? ''), true)) {
                $schema['properties'][$name]['enum'][] = null;
            }
        }

        return $schema;
    }

    /** @param  array<string, mixed>  $document */
    private static function encode(array $document): string
    {
        $json = json_encode(
            $document,
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        );

        return $json."\n";
    }
}
