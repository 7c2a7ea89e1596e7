<?php

declare(strict_types=1);

namespace App\MyData;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** What the files of an archive look like: JSON schemas that travel with it. */
final class Schema
{
    public static function text(string $name): string
    {
        return (string) file_get_contents(__DIR__."/schema/{$name}.schema.json");
    }

    /** @return string|null where it is not as it should be, such as "/events/3/kind"; null: it is */
    public static function fault(string $name, mixed $decoded): ?string
    {
        $error = (new Validator())->validate($decoded, self::text($name))->error();

        return $error === null
            ? null
            : (string) array_key_first((new ErrorFormatter())->format($error, multiple: false));
    }
}
