<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Clock\Moment;
use App\Database\Lock;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Enrolment;
use App\Question\Exam;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Revisit\CardFaces;
use Uplandia\Core\Revisit\Grade;

/**
 * Keeps a candidate's cards. When one comes back is worked out from its looks, as a question's is from its answers.
 */
final readonly class Cards
{
    /** Of one exam. */
    public const MOST = 5000;

    public function __construct(private ClockInterface $clock)
    {
    }

    /** @throws Refusal when it was made from what is not there, or there are too many */
    public function make(Candidacy $candidacy, CardFaces $faces, ?int $question, ?string $section): Card
    {
        $this->refuseWithout($candidacy->exam, $question, $section);

        return Lock::person($candidacy->user->id, function () use ($candidacy, $faces, $question, $section): Card {
            $this->refuseBeyond($candidacy, 1);

            return Card::query()->create([
                'question_id' => $question,
                'section' => $section,
                ...$this->row(candidacy: $candidacy, faces: $faces),
            ]);
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
            foreach (Card::query()->ofCandidate($candidacy)->toBase()->get(['front', 'back']) as $card) {
                $known[self::key((string) $card->front, (string) $card->back)] = true;
            }
            $rows = [];
            foreach ($cards as $faces) {
                $key = self::key($faces->front, $faces->back);
                $rows += isset($known[$key]) ? [] : [$key => $this->row(candidacy: $candidacy, faces: $faces)];
            }
            $this->refuseBeyond($candidacy, count($rows));
            foreach (array_chunk(array_values($rows), 50) as $chunk) {
                Card::query()->insert($chunk);
            }

            return new CardsTakenInView(added: count($rows), known: count($cards) - count($rows));
        });
    }

    /** Takes a look in, once: the same look again changes nothing. */
    public function look(Card $card, string $uid, Grade $grade): void
    {
        $now = Moment::now($this->clock);
        Lock::person($card->user_id, function () use ($card, $uid, $grade, $now): void {
            $added = CardLook::query()->insertOrIgnore([
                'card_id' => $card->id,
                'uid' => $uid,
                'grade' => $grade->value,
                'at_ms' => $now,
                'day' => Enrolment::of($card->user_id, $card->exam_id)->dayOf($now),
            ]);
            if ($added > 0) {
                $card->update($card->project());
            }
        });
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
        if (Card::query()->ofCandidate($candidacy)->count() + $new > self::MOST) {
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
