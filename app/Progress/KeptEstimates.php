<?php

declare(strict_types=1);

namespace App\Progress;

use App\Clock\Moment;
use App\Http\Afterwards;
use App\Question\Candidacy;
use Closure;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * Where each candidate stands, worked out when the evidence has changed and kept until then. Whoever has few answers
 * gets it anew at once; of very many, what is kept is told and renewed after the answer has gone out.
 *
 * @phpstan-import-type Stands from ProgressSnapshot
 * @phpstan-import-type Story from AnswerHistory
 *
 * @phpstan-type Kept array{stands: Stands, story: Story}
 */
final readonly class KeptEstimates
{
    /** Of fewer independent answers an estimate takes no time to speak of. */
    private const AT_ONCE = 3000;

    /** What was kept in another is worked out anew. */
    private const FORMAT = 2;

    public function __construct(
        private Estimates $estimates,
        private AnswerHistory $past,
        private ClockInterface $clock,
        private Afterwards $afterwards,
    ) {
    }

    /** @return array{stands: Stands, story: Story, day: int} with the day of which it is, where the candidate is */
    public function of(Candidacy $candidacy): array
    {
        $row = DB::table('kept_estimates')->where($candidacy->key())->first();
        $kept = $row?->estimates === null ? null : self::read((string) $row->estimates);
        $isFresh = $kept !== null &&
            (int) $row->made_of === (int) $row->evidence &&
            (int) $row->day === $candidacy->today($this->clock);
        if ($isFresh) {
            return $kept + ['day' => (int) $row->day];
        }
        if ($kept === null || $kept['stands']['responses'] < self::AT_ONCE) {
            $made = $this->renew($candidacy, $this->afterwards->do(...));

            return $made + ['day' => $candidacy->today($this->clock)];
        }
        $this->afterwards->do(function () use ($candidacy): void {
            $this->renew($candidacy);
        });

        return $kept + ['day' => (int) $row->day];
    }

    /**
     * @param  (Closure(Closure(): void): void)|null  $later  when to keep it; null: now
     * @return Kept
     */
    public function renew(Candidacy $candidacy, ?Closure $later = null): array
    {
        $mine = fn () => DB::table('kept_estimates')->where($candidacy->key());
        // Read first: what changes while it is worked out makes it old at once.
        $evidence = $mine()->value('evidence');
        $evidence = is_numeric($evidence) ? (int) $evidence : 0;
        $now = Moment::now($this->clock);
        $day = $candidacy->today($this->clock);
        $made = $this->make($candidacy, $now);
        $outlook = $made['stands']['outlook'];
        $keep = fn () => DB::transaction(function () use ($candidacy, $evidence, $now, $day, $made, $outlook): void {
            DB::table('kept_estimates')->upsert(
                [
                    ...$candidacy->key(),
                    'evidence' => $evidence,
                    'made_of' => $evidence,
                    'made_ms' => $now,
                    'day' => $day,
                    'estimates' => self::written($made),
                ],
                ['user_id', 'exam_id'],
                ['made_of', 'made_ms', 'day', 'estimates'],
            );
            if ($outlook !== null) {
                DB::table('outlooks')->upsert(
                    [
                        ...$candidacy->key(),
                        'day' => $day,
                        'chance' => $outlook['chance'],
                        'low' => $outlook['low'],
                        'high' => $outlook['high'],
                        'responses' => $made['stands']['responses'],
                    ],
                    ['user_id', 'exam_id', 'day'],
                );
            }
        });
        $later === null ? $keep() : $later($keep);

        return $made;
    }

    /**
     * Worked out as of some moment. Writes nothing.
     *
     * @param  int  $now  Unix milliseconds
     * @return Kept
     */
    public function make(Candidacy $candidacy, int $now): array
    {
        $estimate = $this->estimates->at(candidacy: $candidacy, now: $now);
        $stands = ProgressSnapshot::of($candidacy->exam, $estimate);

        return [
            'stands' => $stands,
            'story' => $this->past->of($candidacy, $stands['outlook'] === null ? null : $estimate),
        ];
    }

    /**
     * As it is stored.
     *
     * @param  Kept  $made
     */
    public static function written(array $made): string
    {
        return json_encode(['format' => self::FORMAT] + $made, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    /** @return Kept|null null: it cannot be read any more */
    private static function read(string $json): ?array
    {
        $kept = json_decode($json, true);

        /** @var Kept|null */
        return is_array($kept) && ($kept['format'] ?? null) === self::FORMAT ? $kept : null;
    }
}
