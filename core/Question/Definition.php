<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;

/**
 * Makes a question that can be marked from what is stored: `shown` (what a candidate may see) and `answer` (what they
 * may not). The shapes by kind are those of docs/question-format.md.
 */
final class Definition
{
    /**
     * @param  array<mixed>  $shown
     * @param  array<mixed>  $answer
     *
     * @throws InvalidQuestion
     */
    public static function question(Kind $kind, array $shown, array $answer): Question
    {
        $shown = new Fields($shown);
        $answer = new Fields($answer);

        return match ($kind) {
            Kind::Single => new Single($shown->ids('options'), $answer->text('key')),
            Kind::Several => new Several(
                options: $shown->ids('options'),
                keys: $answer->texts('keys'),
                rule: $answer->rule(Rule::AllOrNothing),
                limit: $shown->has('limit') ? $shown->integer('limit') : null,
            ),
            Kind::TrueFalseGrid, Kind::Matching, Kind::Grouping, Kind::DropdownGaps => self::rows(
                $kind,
                $shown,
                $answer,
            ),
            Kind::Ordering => new Ordering($answer->texts('order'), $answer->rule(Rule::AllOrNothing)),
            Kind::Number => new Number(
                key: $answer->exact('value'),
                absolute: $answer->exact('absolute'),
                relative: $answer->exact('relative'),
                units: $answer->exactMap('units'),
                slips: array_map(
                    static fn (Fields $slip): BigRational => $slip->exact('value'),
                    $answer->each('slips'),
                ),
            ),
            Kind::TypedGaps => new TypedGaps(
                array_map(
                    static fn (Fields $gap): Gap => new Gap(
                        $gap->texts('accepted'),
                        $gap->flag('strip_accents'),
                        $gap->flag('allow_slip'),
                    ),
                    $answer->eachByName('gaps'),
                ),
                $answer->rule(Rule::Each),
                self::weights($answer),
            ),
            Kind::Picture => new Picture(
                self::regions($answer, 'targets'),
                $answer->rule(Rule::Hits),
                self::regions($answer, 'decoys'),
            ),
            Kind::Written => self::written($answer),
        };
    }

    private static function rows(Kind $kind, Fields $shown, Fields $answer): Rows
    {
        $shared = $shown->has('choices') ? $shown->ids('choices') : [];
        $choices = [];
        foreach ($shown->each('rows') as $row) {
            $choices[$row->text('id')] = $row->has('choices') ? $row->ids('choices') : $shared;
        }
        $keys = $answer->textMap('keys');
        if (
            array_keys($keys) != array_keys($choices) &&
            (array_diff_key($keys, $choices) !== [] || array_diff_key($choices, $keys) !== [])
        ) {
            throw InvalidQuestion::because('Every row needs a key, and every key a row.');
        }

        return new Rows(
            kind: $kind,
            keys: $keys,
            choices: $choices,
            rule: $answer->rule(Rule::Each),
            weights: self::weights($answer),
        );
    }

    /** @return array<string, string> */
    private static function weights(Fields $answer): array
    {
        return array_map(strval(...), $answer->exactMap('weights'));
    }

    /** @return array<array-key, Target> by id where they have one */
    private static function regions(Fields $answer, string $name): array
    {
        $regions = [];
        foreach ($answer->each($name) as $place => $region) {
            $regions[$region->has('id') ? $region->text('id') : $place] = self::target($region);
        }

        return $regions;
    }

    private static function target(Fields $target): Target
    {
        $points = static fn (string $shape, int $numbers): array => count($target->floats($shape)) === $numbers
            ? $target->floats($shape)
            : throw InvalidQuestion::because("A {$shape} needs {$numbers} numbers.");
        if ($target->has('circle')) {
            [$x, $y, $radius] = $points('circle', 3);

            return Target::circle(
                new Point($x, $y),
                $radius,
                $target->has('aspect') ? $target->exact('aspect')->toFloat() : 1.0,
            );
        }
        if ($target->has('rectangle')) {
            [$left, $top, $right, $bottom] = $points('rectangle', 4);

            return Target::rectangle(new Point($left, $top), new Point($right, $bottom));
        }

        return Target::polygon(
            array_map(
                static fn (array $corner): Point => count($corner) === 2
                    ? new Point($corner[0], $corner[1])
                    : throw InvalidQuestion::because('A corner needs two numbers.'),
                $target->pairs('polygon'),
            ),
        );
    }

    private static function written(Fields $answer): Written
    {
        $rubric = [];
        foreach ($answer->each('rubric') as $criterion) {
            $rubric[$criterion->text('id')] = $criterion->exact('points', '1');
        }

        return new Written($rubric);
    }
}
