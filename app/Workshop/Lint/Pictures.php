<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

/**
 * Whether a picture proves its key. Whoever draws it measures each place on what it was drawn from, by a figure that
 * singles out the key (`pictures/claims.json`: question => measure, least, most, places).
 */
final class Pictures
{
    /**
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    public static function faults(string $folder, array $questions): array
    {
        $faults = [];
        $claims = self::read("{$folder}/pictures/claims.json");
        foreach ($questions as $question) {
            if (($question['kind'] ?? null) !== 'picture') {
                continue;
            }
            $id = (string) $question['id'];
            $claim = $claims[$id] ?? null;
            unset($claims[$id]);
            if (! is_array($claim)) {
                $faults[] = "{$id}: nothing is measured on its picture (pictures/claims.json).";

                continue;
            }
            array_push(
                $faults,
                ...self::unproved($id, $claim, (array) $question['targets'], key: true),
                ...self::unproved($id, $claim, (array) ($question['decoys'] ?? []), key: false),
            );
        }
        foreach (array_keys($claims) as $id) {
            $faults[] = "claims.json: there is no picture question \"{$id}\".";
        }

        return $faults;
    }

    /**
     * @param  array<mixed>  $claim
     * @param  array<mixed>  $areas
     * @return list<string>
     */
    private static function unproved(string $id, array $claim, array $areas, bool $key): array
    {
        $faults = [];
        foreach ($areas as $area) {
            $region = (string) ($area['region'] ?? '');
            $value = $claim['places'][$region] ?? null;
            if (! is_numeric($value)) {
                $faults[] = "{$id}: region \"{$region}\" has not been measured.";
            } elseif (($value >= $claim['least'] && $value <= $claim['most']) !== $key) {
                $faults[] = sprintf(
                    '%s: %s is %s at "%s", which is %s, and the key lies from %s to %s.',
                    $id,
                    $claim['measure'],
                    $value,
                    $region,
                    $key ? 'a target' : 'a decoy',
                    $claim['least'],
                    $claim['most'],
                );
            }
        }

        return $faults;
    }

    /** @return array<mixed> */
    private static function read(string $file): array
    {
        return is_file($file) ? (array) json_decode((string) file_get_contents($file), true) : [];
    }
}
