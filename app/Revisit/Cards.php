<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Clock\Moment;
use App\Database\Lock;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Enrolment;
use App\Question\Exam;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;
use stdClass;
use Uplandia\Core\Revisit\CardFaces;
use Uplandia\Core\Revisit\Grade;
use Uplandia\Core\Revisit\Remembered;
use Uplandia\Core\Revisit\Repetition;

/**
 * Keeps a candidate's cards. When one comes back is worked out from its looks, as a question's is from its answers.
 */
final readonly class Cards
{
    /** Of one exam. */
    public const MOST = 5000;

    /** A digit more and a database would not keep it. */
    private const DIGITS = 6;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @throws Refusal when it was made from what is not there, or there are too many */
    public function make(Candidacy $candidacy, CardFaces $faces, ?int $question, ?string $section): string
    {
        $this->refuseWithout($candidacy->exam, $question, $section);

        return Lock::person($candidacy->user->id, function () use ($candidacy, $faces, $question, $section): string {
            $this->refuseBeyond($candidacy, 1);
            $row = $this->row(candidacy: $candidacy, faces: $faces);
            DB::table('cards')->insert(['question_id' => $question, 'section' => $section] + $row);

            return $row['id'];
        });
    }

    /**
     * @param  list<CardFaces>  $cards
     *
     * @throws Refusal when there would be too many
     */
    public function takeIn(Candidacy $candidacy, array $cards): CardsTakenInView
    {
        return Lock::person($candidacy->user->id, function () use ($candidacy, $cards): CardsTakenInView {
            $known = [];
            foreach (self::of($candidacy)->get(['front', 'back']) as $card) {
                $known[self::key((string) $card->front, (string) $card->back)] = true;
            }
            $rows = [];
            foreach ($cards as $faces) {
                $key = self::key($faces->front, $faces->back);
                $rows += isset($known[$key]) ? [] : [$key => $this->row(candidacy: $candidacy, faces: $faces)];
            }
            $this->refuseBeyond($candidacy, count($rows));
            foreach (array_chunk(array_values($rows), 50) as $chunk) {
                DB::table('cards')->insert($chunk);
            }

            return new CardsTakenInView(added: count($rows), known: count($cards) - count($rows));
        });
    }

    public function change(string $card, CardFaces $faces): void
    {
        DB::table('cards')->where('id', $card)->update(['front' => $faces->front, 'back' => $faces->back]);
    }

    public function suspend(string $card, bool $suspended): void
    {
        DB::table('cards')->where('id', $card)->update(['suspended' => $suspended]);
    }

    public function throwAway(string $card): void
    {
        DB::table('cards')->where('id', $card)->delete();
    }

    /** Takes a look in, once: the same look again changes nothing. */
    public function look(stdClass $card, string $uid, Grade $grade): void
    {
        $now = Moment::now($this->clock);
        Lock::person((int) $card->user_id, function () use ($card, $uid, $grade, $now): void {
            $added = DB::table('card_looks')->insertOrIgnore([
                'card_id' => $card->id,
                'uid' => $uid,
                'grade' => $grade->value,
                'at_ms' => $now,
                'day' => Enrolment::of((int) $card->user_id, (int) $card->exam_id)->dayOf($now),
            ]);
            if ($added > 0) {
                DB::table('cards')->where('id', $card->id)->update(self::project($card));
            }
        });
    }

    /**
     * What the looks of a card come to. Writes nothing.
     *
     * @return array<string, float|int|null> columns of cards
     */
    public static function project(stdClass $card): array
    {
        $looks = [];
        $rows = DB::table('card_looks')->where('card_id', $card->id)->orderBy('at_ms')->orderBy('id');
        foreach ($rows->get(['day', 'grade']) as $row) {
            $looks[] = new Repetition((int) $row->day, Grade::from((int) $row->grade));
        }
        $remembered = Remembered::after($looks);

        return [
            'looks' => count($looks),
            'stability' => $remembered === null ? null : round($remembered->memory->stability, self::DIGITS),
            'remembered_day' => $remembered?->day,
            'due_day' => $remembered?->dueDay() ?? (int) $card->made_day,
        ];
    }

    private static function of(Candidacy $candidacy): Builder
    {
        return DB::table('cards')->where($candidacy->key());
    }

    private static function key(string $front, string $back): string
    {
        return hash('sha256', "{$front}\0{$back}");
    }

    /** @return array{id: string}&array<string, mixed> */
    private function row(Candidacy $candidacy, CardFaces $faces): array
    {
        $now = Moment::now($this->clock);
        $day = $candidacy->enrolment()->dayOf($now);

        return [
            'id' => strtolower((string) Str::ulid()),
            ...$candidacy->key(),
            'front' => $faces->front,
            'back' => $faces->back,
            'due_day' => $day,
            'made_day' => $day,
            'made_ms' => $now,
        ];
    }

    /** @throws Refusal */
    private function refuseBeyond(Candidacy $candidacy, int $new): void
    {
        if (self::of($candidacy)->count() + $new > self::MOST) {
            throw Refusal::conflict('too_many_cards', 'An exam can have up to 5,000 cards. Throw some away first.');
        }
    }

    /** @throws Refusal */
    private function refuseWithout(Exam $exam, ?int $question, ?string $section): void
    {
        $pages = DB::table('handbook_sections')->where('exam_id', $exam->id)->where('code', $section);
        if ($section !== null && ! $pages->exists()) {
            throw Refusal::unmet('section', 'There is no such page of the handbook.');
        }
        $questions = DB::table('questions')->where('exam_id', $exam->id)->where('id', $question);
        if ($question !== null && ! $questions->exists()) {
            throw Refusal::unmet('question', 'There is no such question.');
        }
    }
}
