<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

use App\Media\Shelf;
use App\Workshop\QuestionEntry;
use Brick\Math\BigRational;
use Symfony\Component\ExpressionLanguage\ExpressionLanguage;
use Throwable;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\Number;
use Uplandia\Core\Question\Question;

/** Recomputes numeric keys from the formula beside them. */
final class Numbers
{
    /**
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    public static function faults(array $questions): array
    {
        $faults = [];
        $language = self::language();
        foreach ($questions as $question) {
            if (($question['kind'] ?? 'single') !== 'number') {
                continue;
            }
            $key = BigRational::of((string) $question['value'])->toFloat();
            // The key may be rounded as it is written: 105 stands for anything from 104.5 to 105.5.
            $decimals = strlen(substr((string) strrchr((string) $question['value'], '.'), 1));
            try {
                $computed = (float) $language->evaluate((string) $question['check']);
            } catch (Throwable $error) {
                $faults[] = "{$question['id']}: the formula \"{$question['check']}\" "
                    ."cannot be computed: {$error->getMessage()}";

                continue;
            }
            if (abs($computed - $key) > 0.5 * 10 ** -$decimals + 1e-9) {
                $faults[] = sprintf(
                    '%s: the key is %s, but its formula gives %s.',
                    $question['id'],
                    $question['value'],
                    round($computed, 6),
                );
            }
            array_push($faults, ...self::slipFaults($question));
        }

        return $faults;
    }

    /**
     * Slips that would earn credit, by the question's own rule.
     *
     * @param  array<mixed>  $question
     * @return list<string>
     */
    private static function slipFaults(array $question): array
    {
        $entry = QuestionEntry::of($question, Shelf::none());
        $number = Question::of(Kind::Number, $entry['shown'], $entry['withheld']);
        assert($number instanceof Number);
        $unit = array_key_first(array_filter($number->units, fn (BigRational $factor): bool => $factor->isEqualTo(1)));
        $faults = [];
        foreach ((array) ($question['slips'] ?? []) as $slip) {
            $response = ['text' => (string) $slip['value']] + ($unit === null ? [] : ['unit' => (string) $unit]);
            if ($number->mark($response)->outcome !== Outcome::Missed) {
                $faults[] = "{$question['id']}: the slip {$slip['value']} would be marked right.";
            }
        }

        return $faults;
    }

    /** Arithmetic with degrees, as walkers reckon. */
    private static function language(): ExpressionLanguage
    {
        $language = new ExpressionLanguage();
        $functions = [
            'sqrt' => sqrt(...),
            'abs' => abs(...),
            'floor' => floor(...),
            'ceil' => ceil(...),
            'hypot' => hypot(...),
            'sin' => fn (float|int $degrees): float => sin(deg2rad($degrees)),
            'cos' => fn (float|int $degrees): float => cos(deg2rad($degrees)),
            'tan' => fn (float|int $degrees): float => tan(deg2rad($degrees)),
            'atan' => fn (float|int $ratio): float => rad2deg(atan($ratio)),
            'pi' => fn (): float => M_PI,
        ];
        foreach ($functions as $name => $function) {
            $language->register(
                $name,
                fn (string ...$arguments): string => $name.'('.implode(', ', $arguments).')',
                fn (array $values, mixed ...$arguments): mixed => $function(...$arguments),
            );
        }

        return $language;
    }
}
