<?php

declare(strict_types=1);

namespace App\Sitting;

use Closure;

/** Reads when pages of a device say they ran. */
final class AwakeSpells
{
    /** A rule of a form: pairs of moments, each from when until when. */
    public static function areSound(string $field, mixed $spells, Closure $fail): void
    {
        if (is_array($spells) && count(self::of($spells)) !== count($spells)) {
            $fail('Each spell is two moments, from when and until when.');
        }
    }

    /** @return list<array{int, int}> */
    public static function of(mixed $spells): array
    {
        $read = [];
        foreach (is_array($spells) ? $spells : [] as $spell) {
            [$from, $until] = is_array($spell) && count($spell) === 2 ? array_values($spell) : [null, null];
            if (is_int($from) && is_int($until) && $from >= 0 && $until >= $from) {
                $read[] = [$from, $until];
            }
        }

        return $read;
    }
}
