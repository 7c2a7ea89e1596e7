<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Clock\Moment;
use App\Database\Lock;
use App\Http\Refusal;
use App\Question\Enrolment;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Result\Cause;

/** What candidates say themselves of the questions in their gap book. */
final readonly class GapBook
{
    public function __construct(private Standings $standings, private ClockInterface $clock)
    {
    }

    /** @throws Refusal when the sitting has no such question */
    public function nameCause(Sitting $sitting, int $position, ?Cause $cause): void
    {
        $this->put($sitting, $this->question($sitting, $position), ['cause' => $cause?->value]);
    }

    /**
     * Into the gap book, or out of it, until an answer says otherwise.
     *
     * @throws Refusal when the sitting has no such question
     */
    public function move(Sitting $sitting, int $position, bool $into): void
    {
        $question = $this->question($sitting, $position);
        $now = Moment::now($this->clock);
        Lock::person($sitting->user_id, function () use ($sitting, $question, $into, $now): void {
            $this->put($sitting, $question, [
                'moved_ms' => $now,
                'moved_day' => Enrolment::of($sitting->user_id, $sitting->exam_id)->dayOf($now),
                'into' => $into,
            ]);
            $this->standings->renew($sitting->user_id, $sitting->exam_id, [$question]);
        });
    }

    /** @throws Refusal */
    private function question(Sitting $sitting, int $position): int
    {
        $met = DB::table('outcomes')
            ->where('sitting_id', $sitting->id)
            ->where('position', $position)
            ->first(['question_id', 'outcome']) ?? throw Refusal::notFound();
        if ($met->outcome === Outcome::NotReached->value) {
            throw Refusal::conflict('not_reached', 'This question was never on screen, so there is no gap to speak of.');
        }

        return (int) $met->question_id;
    }

    /** @param  array<string, mixed>  $said */
    private function put(Sitting $sitting, int $question, array $said): void
    {
        $now = $this->clock->now();
        DB::table('gap_entries')->upsert(
            [
                'user_id' => $sitting->user_id,
                'question_id' => $question,
                'exam_id' => $sitting->exam_id,
                'created_at' => $now,
                'updated_at' => $now,
                ...$said,
            ],
            ['user_id', 'question_id'],
            [...array_keys($said), 'updated_at'],
        );
    }
}
