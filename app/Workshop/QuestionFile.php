<?php

declare(strict_types=1);

namespace App\Workshop;

use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;
use Uplandia\Core\Question\Definition;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\Kind;

/**
 * Reads question files (docs/question-format.md) into what is stored: `shown` and `answer`.
 *
 * @phpstan-type Entry array{code: string, topic: string, kind: string, difficulty: string, marks: string, tags: array<string, string>, shown: array<string, mixed>, answer: array<string, mixed>}
 */
final class QuestionFile
{
    /** Fields of a question that a candidate must not see while sitting. */
    private const HIDDEN = ['rationale', 'references', 'keys', 'rule', 'order', 'value', 'absolute', 'relative', 'accepted', 'gaps', 'targets', 'rubric', 'model', 'weights', 'check', 'evidence'];

    private const OWN_COLUMNS = ['id', 'subtopic', 'kind', 'difficulty', 'marks', 'tags'];

    /**
     * @return list<Entry>
     *
     * @throws InvalidBank
     */
    public static function read(string $file): array
    {
        try {
            $questions = Yaml::parseFile($file);
        } catch (ParseException $error) {
            throw InvalidBank::with([basename($file).": {$error->getMessage()}"]);
        }
        $entries = $faults = [];
        foreach (is_array($questions) ? $questions : [] as $question) {
            $name = is_array($question) && is_string($question['id'] ?? null) ? $question['id'] : 'a question without an id';
            try {
                $entries[] = self::entry(is_array($question) ? $question : []);
            } catch (InvalidQuestion $error) {
                $faults[] = basename($file).", {$name}: {$error->getMessage()}";
            }
        }
        if ($faults !== []) {
            throw InvalidBank::with($faults);
        }

        return $entries;
    }

    /**
     * @param  array<mixed>  $question
     * @return Entry
     *
     * @throws InvalidQuestion
     */
    private static function entry(array $question): array
    {
        foreach (['id', 'subtopic', 'difficulty', 'stem', 'rationale'] as $needed) {
            if (! is_string($question[$needed] ?? null) || $question[$needed] === '') {
                throw InvalidQuestion::because("\"{$needed}\" is missing.");
            }
        }
        $kind = Kind::tryFrom(is_string($question['kind'] ?? null) ? $question['kind'] : 'single') ?? throw InvalidQuestion::because('There is no such kind of question.');
        $hidden = array_flip(self::HIDDEN);
        $shown = array_diff_key($question, $hidden, array_flip(self::OWN_COLUMNS));
        $answer = array_intersect_key($question, $hidden);
        if (is_array($question['options'] ?? null)) {
            [$shown['options'], $answer] = self::options($question['options'], $kind, $answer);
        }
        Definition::question($kind, $shown, $answer);

        return [
            'code' => $question['id'], 'topic' => $question['subtopic'], 'kind' => $kind->value, 'difficulty' => $question['difficulty'],
            'marks' => (string) ($question['marks'] ?? 1), 'tags' => (array) ($question['tags'] ?? []), 'shown' => $shown, 'answer' => $answer,
        ];
    }

    /**
     * Options are written with their reason and key beside them, and stored apart from both.
     *
     * @param  array<mixed>  $options
     * @param  array<mixed>  $answer
     * @return array{list<array<string, mixed>>, array<mixed>}
     *
     * @throws InvalidQuestion
     */
    private static function options(array $options, Kind $kind, array $answer): array
    {
        $shown = $why = $keys = [];
        foreach (array_values($options) as $i => $option) {
            if (! is_array($option) || ! is_scalar($option['text'] ?? null) || ! is_string($option['why'] ?? null)) {
                throw InvalidQuestion::because('Every option needs a text and a reason why it is right or wrong.');
            }
            $id = chr(ord('a') + $i % 26).($i < 26 ? '' : (string) intdiv($i, 26));
            $shown[] = ['id' => $id, 'text' => (string) $option['text']] + (($option['pinned'] ?? false) === true ? ['pinned' => true] : []);
            $why[$id] = $option['why'];
            if (($option['key'] ?? false) === true) {
                $keys[] = $id;
            }
        }
        $answer['why'] = $why;
        if ($kind === Kind::Single) {
            $answer['key'] = count($keys) === 1 ? $keys[0] : throw InvalidQuestion::because('Exactly one option must be marked `key: true`.');
        } else {
            $answer['keys'] = $keys;
        }

        return [$shown, $answer];
    }
}
