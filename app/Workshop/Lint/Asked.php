<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

use App\Workshop\ExamFolder;

/** The questions that a paper, or a test of a series, asks by name. */
final class Asked
{
    /**
     * They are there, none is asked twice, and units are asked whole and in order.
     *
     * @param  string  $what  asks them
     * @param  list<string>  $codes
     * @return list<string>
     */
    public static function faults(string $what, array $codes, ExamFolder $folder): array
    {
        $unitOf = array_column($folder->entries, 'unit', 'code');
        $faults = [];
        foreach (array_diff($codes, array_keys($unitOf)) as $code) {
            $faults[] = "{$what}: there is no question \"{$code}\".";
        }
        if (count(array_unique($codes)) !== count($codes)) {
            $faults[] = "{$what} asks a question twice.";
        }
        $asked = ' '.implode(' ', $codes).' ';
        foreach (array_unique(array_filter(array_intersect_key($unitOf, array_flip($codes)))) as $unit) {
            if (! str_contains($asked, ' '.implode(' ', array_keys($unitOf, $unit, true)).' ')) {
                $faults[] = "{$what}: {$unit} is not asked whole and in order.";
            }
        }

        return $faults;
    }
}
