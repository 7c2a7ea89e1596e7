<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Clock\Moment;
use App\Question\Enrolment;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/**
 * What somebody was shown the key of beside what they answered: an answer after it is no first look. (That the key of
 * a question is shown once its answer is settled, its outcome says.)
 *
 * @phpstan-type Exposed array{sitting: string|null, how: Exposure, at: int}
 */
final readonly class Exposures
{
    private const AT_ONCE = 100;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @param  list<int>  $questions */
    public function keep(Sitting $sitting, array $questions, Exposure $how): void
    {
        $now = Moment::now($this->clock);
        $day = Enrolment::of($sitting->user_id, $sitting->exam_id)->dayOf($now);
        $rows = array_map(fn (int $question): array => [
            'user_id' => $sitting->user_id,
            'exam_id' => $sitting->exam_id,
            'question_id' => $question,
            'sitting_id' => $sitting->id,
            'how' => $how->value,
            'at_ms' => $now,
            'day' => $day,
        ], $questions);
        foreach (array_chunk($rows, self::AT_ONCE) as $chunk) {
            DB::table('exposures')->insertOrIgnore($chunk);
        }
    }

    /**
     * @param  list<int>  $questions
     * @return array<int, list<Exposed>> by question, the earliest first
     */
    public function of(int $user, array $questions): array
    {
        $found = [];
        foreach (array_chunk($questions, 500) as $chunk) {
            $rows = DB::table('exposures')
                ->where('user_id', $user)
                ->whereIn('question_id', $chunk)
                ->orderBy('at_ms')
                ->get(['question_id', 'sitting_id', 'how', 'at_ms']);
            foreach ($rows as $row) {
                $found[(int) $row->question_id][] = [
                    'sitting' => $row->sitting_id === null ? null : (string) $row->sitting_id,
                    'how' => Exposure::from((string) $row->how),
                    'at' => (int) $row->at_ms,
                ];
            }
        }

        return $found;
    }

    /**
     * Whether an answer came after somebody was shown its key elsewhere. What was taken along to be shown with the
     * answers of a sitting counts against every other sitting.
     *
     * @param  list<Exposed>  $exposures  of its question
     */
    public static function precede(array $exposures, string $sitting, int $answeredAt): bool
    {
        foreach ($exposures as $one) {
            $own = $one['how'] === Exposure::TakenAlong && $one['sitting'] === $sitting;
            if (! $own && $one['at'] <= $answeredAt) {
                return true;
            }
        }

        return false;
    }
}
