<?php

declare(strict_types=1);

namespace App\MyData;

use DateTimeImmutable;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** What the files of an archive look like: JSON schemas that travel with it. */
final class Schema
{
    private const MOMENT = 'Y-m-d H:i:s';

    public static function text(string $name): string
    {
        return (string) file_get_contents(__DIR__."/schema/{$name}.schema.json");
    }

    /** @return string|null where it is not as it should be, such as "/events/3/kind"; null: it is */
    public static function fault(string $name, mixed $decoded): ?string
    {
        $validator = new Validator();
        $validator->parser()->getFormatResolver()?->registerCallable('string', 'moment', self::isMoment(...));
        $error = $validator->validate($decoded, self::text($name))->error();

        return $error === null
            ? null
            : (string) array_key_first((new ErrorFormatter())->format($error, multiple: false));
    }

    /** A moment in UTC as a database writes it; one that the calendar does not have is none. */
    private static function isMoment(string $text): bool
    {
        $moment = DateTimeImmutable::createFromFormat(self::MOMENT, $text);

        return $moment !== false && $moment->format(self::MOMENT) === $text;
    }
}
