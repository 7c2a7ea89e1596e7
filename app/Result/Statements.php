<?php

declare(strict_types=1);

namespace App\Result;

use App\Sitting\Sitting;
use Brick\Math\BigRational;
use Illuminate\Support\Carbon;
use Ramsey\Uuid\Uuid;
use Uplandia\Core\Marking\Outcome;

/**
 * A sitting as statements of xAPI 1.0.3: "answered" for each question that was on screen, and how it ended. The same
 * sitting gives the same statements, ids included, so that taking it in twice does no harm.
 */
final class Statements
{
    private const VERSION = '1.0.3';

    private const VERBS = 'http://adlnet.gov/expapi/verbs/';

    /**
     * @param  list<SatQuestion>  $sat
     * @return list<array<string, mixed>>
     */
    public function of(Sitting $sitting, array $sat): array
    {
        $sitting->loadMissing('test.exam', 'user');
        $seen = array_filter(
            $sat,
            fn (SatQuestion $one): bool => $one->result->credit->outcome !== Outcome::NotReached,
        );

        return [
            ...array_map(fn (SatQuestion $one): array => $this->answered($sitting, $one), array_values($seen)),
            $this->ended($sitting),
        ];
    }

    /** @return array<string, mixed> */
    private function answered(Sitting $sitting, SatQuestion $sat): array
    {
        $result = $sat->result;
        $outcome = $result->credit->outcome;
        $response = Interaction::response($sat);
        $sureness = $result->sureness === null
            ? []
            : ['extensions' => [self::iri('words/sureness') => $result->sureness->value]];

        return [
            'id' => self::uuid("{$sitting->id}/{$result->position}"),
            'actor' => self::actor($sitting),
            'verb' => self::verb('answered'),
            'object' => [
                'objectType' => 'Activity',
                'id' => self::iri("questions/{$sat->versionId}"),
                'definition' => Interaction::definition($sat),
            ],
            'result' => [
                'completion' => $result->credit->wasAnswered(),
                'duration' => self::duration($result->ms),
            ]
                + ($response === null ? [] : ['response' => $response])
                + ($outcome === Outcome::Pending ? [] : [
                    'success' => $outcome === Outcome::Right,
                    'score' => self::score(
                        marks: $result->scheme->marksFor($result->credit),
                        possible: $result->scheme->marks,
                        lowest: $result->scheme->penalty->multipliedBy($result->scheme->marks)->negated(),
                    ),
                ])
                + $sureness,
            'context' => self::context($sitting) + [
                'contextActivities' => [
                    'parent' => [['objectType' => 'Activity', 'id' => self::iri("tests/{$sitting->test_id}")]],
                ],
            ],
            'timestamp' => self::time($sat->settledMs),
            'version' => self::VERSION,
        ];
    }

    /** @return array<string, mixed> */
    private function ended(Sitting $sitting): array
    {
        $possible = BigRational::of($sitting->possible ?? 0);
        $adaptive = $sitting->test->adaptive !== null;

        return [
            'id' => self::uuid($sitting->id),
            'actor' => self::actor($sitting),
            'verb' => self::verb('completed'),
            'object' => [
                'objectType' => 'Activity',
                'id' => self::iri("tests/{$sitting->test_id}"),
                'definition' => [
                    'type' => 'http://adlnet.gov/expapi/activities/assessment',
                    'name' => ['en' => $sitting->name],
                ],
            ],
            'result' => [
                'completion' => $sitting->answered === $sitting->questions,
                'duration' => self::duration($sitting->active_ms),
            ] + ($adaptive || $possible->isZero() ? [] : [
                'score' => self::score(
                    marks: BigRational::of($sitting->marks ?? 0),
                    possible: $possible,
                    lowest: $possible->negated(),
                ),
            ]),
            'context' => self::context($sitting),
            'timestamp' => self::time((int) $sitting->ended_ms),
            'version' => self::VERSION,
        ];
    }

    /** @return array<string, mixed> */
    private static function actor(Sitting $sitting): array
    {
        return [
            'objectType' => 'Agent',
            'name' => $sitting->user->name,
            'account' => ['homePage' => self::iri(''), 'name' => (string) $sitting->user_id],
        ];
    }

    /** @return array<string, mixed> */
    private static function verb(string $word): array
    {
        return ['id' => self::VERBS.$word, 'display' => ['en' => $word]];
    }

    /** @return array<string, mixed> */
    private static function context(Sitting $sitting): array
    {
        return [
            'registration' => self::uuid("registration/{$sitting->id}"),
            'platform' => 'Uplandia',
            'language' => 'en',
        ];
    }

    /** @return array<string, float> */
    private static function score(BigRational $marks, BigRational $possible, BigRational $lowest): array
    {
        return [
            'scaled' => max(-1.0, min(1.0, $marks->dividedBy($possible)->toFloat())),
            'raw' => $marks->toFloat(),
            'min' => $lowest->toFloat(),
            'max' => $possible->toFloat(),
        ];
    }

    /** ISO 8601, to the hundredth of a second. Example: 61,234 ms → "PT61.23S". */
    private static function duration(int $ms): string
    {
        return sprintf('PT%.2FS', $ms / 1000);
    }

    private static function time(int $ms): string
    {
        return Carbon::createFromTimestampMs($ms, 'UTC')->format('Y-m-d\TH:i:s.v\Z');
    }

    private static function iri(string $path): string
    {
        return rtrim((string) config('app.url'), '/')."/{$path}";
    }

    private static function uuid(string $name): string
    {
        return Uuid::uuid5(Uuid::NAMESPACE_URL, self::iri("statements/{$name}"))->toString();
    }
}
