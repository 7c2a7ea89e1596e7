<?php

declare(strict_types=1);

namespace App\Workshop;

use Brick\Math\BigRational;
use Uplandia\Core\Assembly\Blueprint;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Exact;

/** Reads what exam.yaml must say before anything of an exam is taken in: a screen that lacks it would fail. */
final class ExamSheet
{
    private const NEEDS = [
        'slug' => '/^[a-z0-9]+(-[a-z0-9]+)*$/',
        'name' => '/\S/',
        'summary' => '/\S/',
    ];

    /**
     * @param  array<mixed>  $sheet  what the file holds
     * @return list<string> each a sentence that says what to mend
     */
    public static function faults(array $sheet): array
    {
        $faults = [];
        foreach (self::NEEDS as $name => $pattern) {
            $value = $sheet[$name] ?? null;
            if (! is_string($value) || preg_match($pattern, $value) !== 1) {
                $faults[] = $name === 'slug'
                    ? 'exam.yaml: "slug" must be a word of small letters and figures, such as "hill-guide".'
                    : "exam.yaml: \"{$name}\" is missing; write it in quotes.";
            }
        }
        if (isset($sheet['position']) && ! is_int($sheet['position'])) {
            $faults[] = 'exam.yaml: "position" is a whole number, or left out.';
        }
        $rules = is_array($sheet['rules'] ?? null) ? $sheet['rules'] : [];

        return [...$faults, ...self::ruleFaults($rules), ...self::topicFaults($sheet['topics'] ?? null)];
    }

    /**
     * @param  array<mixed>  $rules
     * @return list<string>
     */
    private static function ruleFaults(array $rules): array
    {
        $faults = [];
        $cut = self::exact($rules['cut'] ?? null);
        if ($cut === null || ! $cut->isGreaterThan(0) || ! $cut->isLessThan(1)) {
            $faults[] = 'exam.yaml: "rules.cut" is the share that passes, between 0 and 1 and in quotes, such as "0.65".';
        }
        $minutes = self::exact($rules['minutesPerQuestion'] ?? null);
        if ($minutes === null || ! $minutes->isGreaterThan(0) || $minutes->isGreaterThan(600)) {
            $faults[] = 'exam.yaml: "rules.minutesPerQuestion" is the time of a question, in quotes, such as "1.5".';
        }
        if (isset($rules['limit']) && ! in_array($rules['limit'], ['held', 'void'], true)) {
            $faults[] = 'exam.yaml: "rules.limit" is "held" (no more than the limit can be chosen) or "void" (more '
                .'can, and then counts nothing).';
        }
        if (isset($rules['sections']) && $faults === []) {
            try {
                Blueprint::of($rules);
            } catch (InvalidRecipe $invalid) {
                $faults[] = "exam.yaml: {$invalid->getMessage()}";
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private static function topicFaults(mixed $topics): array
    {
        if (! is_array($topics) || $topics === [] || ! array_is_list($topics)) {
            return ['exam.yaml: an exam needs "topics", each with a code, a name, a weight and subtopics.'];
        }
        $faults = $codes = [];
        $sum = BigRational::zero();
        foreach ($topics as $i => $topic) {
            $topic = is_array($topic) ? $topic : [];
            $named = is_string($topic['code'] ?? null) ? $topic['code'] : 'number '.($i + 1);
            $weight = self::exact($topic['weight'] ?? null);
            $subtopics = is_array($topic['subtopics'] ?? null) ? $topic['subtopics'] : [];
            foreach ([$topic, ...$subtopics] as $one) {
                if (! is_array($one) || ! is_string($one['code'] ?? null) || ! is_string($one['name'] ?? null)) {
                    $faults[] = "exam.yaml: topic {$named}: it and each of its subtopics need a code and a name.";

                    continue;
                }
                $codes[] = $one['code'];
            }
            if ($weight === null || $weight->getSign() < 0) {
                $faults[] = "exam.yaml: topic {$named}: \"weight\" is its share of the exam in per cent, in quotes.";
            }
            $sum = $sum->plus($weight ?? 0);
        }
        foreach (array_keys(array_filter(array_count_values($codes), fn (int $n): bool => $n > 1)) as $twice) {
            $faults[] = "exam.yaml: two topics have the code {$twice}.";
        }
        if ($faults === [] && ! $sum->isEqualTo(100)) {
            $faults[] = "exam.yaml: the weights of the topics add up to {$sum->toFloat()}, not to 100.";
        }

        return $faults;
    }

    private static function exact(mixed $value): ?BigRational
    {
        return is_string($value) || is_int($value) ? Exact::parse($value) : null;
    }
}
