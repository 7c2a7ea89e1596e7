<?php

declare(strict_types=1);

namespace App\Progress;

use App\Account\User;
use App\Database\Recounts;
use App\Question\Candidacy;
use App\Question\Exam;
use Illuminate\Support\Facades\DB;

/** Works out anew where candidates stand, as of when it was made, and holds it against what is kept. */
final readonly class EstimatesRecount implements Recounts
{
    /** Two ways to add up the same answers may part in the last digits. */
    private const RESTS = 1e-7;

    public function __construct(private KeptEstimates $kept)
    {
    }

    public function what(): string
    {
        return 'Estimates';
    }

    /**
     * @param  string|null  $email  of the only candidate to look at; null: all
     * @return iterable<string|null> for each that is not of before, how it differs; null: it does not
     */
    public function differences(?string $email): iterable
    {
        $rows = DB::table('kept_estimates')
            ->join('users', 'users.id', '=', 'kept_estimates.user_id')
            ->when($email !== null, fn ($query) => $query->where('users.email', $email))
            ->whereNotNull('estimates')
            ->whereColumn('made_of', 'evidence')
            ->orderBy('user_id')
            ->orderBy('kept_estimates.exam_id')
            ->select('kept_estimates.*');
        foreach ($rows->get() as $row) {
            $exam = Exam::query()->findOrFail((int) $row->exam_id);
            $user = User::query()->findOrFail((int) $row->user_id);
            $made = $this->kept->make(new Candidacy($user, $exam), (int) $row->made_ms);
            $told = DB::table('outlooks')
                ->where('user_id', $row->user_id)
                ->where('exam_id', $row->exam_id)
                ->where('day', $row->day)
                ->value('chance');
            $outlook = $made['stands']['outlook'];
            yield match (true) {
                ! self::same(
                    json_decode((string) $row->estimates, true),
                    json_decode(KeptEstimates::written($made), true),
                ) => self::says($row->user_id, 'estimates'),
                $outlook !== null && self::differ($told, $outlook['chance']) => self::says($row->user_id, 'outlooks'),
                default => null,
            };
        }
    }

    /** Whether both have the same parts, and the same numbers up to where the estimator rests. */
    private static function same(mixed $stored, mixed $made): bool
    {
        if (is_array($stored) && is_array($made)) {
            $differing = array_filter(
                array_keys($made),
                static fn (int|string $part): bool => ! array_key_exists($part, $stored)
                    || ! self::same($stored[$part], $made[$part]),
            );

            return $differing === [] && count($stored) === count($made);
        }

        return is_float($stored) && is_float($made)
            ? abs($stored - $made) <= self::RESTS
            : $stored === $made;
    }

    private static function differ(mixed $stored, float $made): bool
    {
        return ! is_numeric($stored) || abs((float) $stored - $made) > self::RESTS;
    }

    private static function says(mixed $user, string $what): string
    {
        return 'Candidate '.(is_numeric($user) ? $user : '?').": {$what} are not what the answers come to.";
    }
}
