<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Account\User;
use App\Clock\Moment;
use App\Database\Pages;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\PlainExcerpt;
use App\Question\TextSearch;
use App\Sitting\KeyGate;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Revisit\CardFaces;

/** Reads a candidate's cards. */
final readonly class CardReader
{
    private const PAGE = 50;

    public function __construct(
        private KeyGate $gate,
        private ClockInterface $clock,
        private TextSearch $texts,
    ) {
    }

    public function of(
        Candidacy $candidacy,
        CardsWanted $show,
        string $words,
        ?string $section,
        int $page,
    ): CardsView {
        $wanted = $this->wanted(candidacy: $candidacy, show: $show, section: $section);
        $covered = $this->covered($candidacy->user->id);
        if ($words !== '') {
            $wanted->whereKey($this->finding(clone $wanted, $words, $covered));
        }
        $cards = Pages::of($wanted, $page, self::PAGE);

        return new CardsView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            today: Moment::date($candidacy->today($this->clock)),
            all: $this->mine($candidacy)->count(),
            due: $this->due($candidacy)->count(),
            suspended: $this->mine($candidacy)->where('suspended', true)->count(),
            next: $this->next($candidacy),
            found: $cards->total(),
            page: $cards->currentPage(),
            pages: $cards->lastPage(),
            cards: array_map(
                fn (Card $card): CardView => $this->seen(card: $card, covered: $covered, candidacy: $candidacy),
                array_values($cards->items()),
            ),
        );
    }

    /** @return Builder<Card> that are due */
    public function due(Candidacy $candidacy): Builder
    {
        $enrolment = $candidacy->enrolment();
        $today = $candidacy->today($this->clock);
        $cards = $this->mine($candidacy)->where('suspended', false);

        return $enrolment->allIsDueOn($today) ? $cards : $cards->where('due_day', '<=', $today);
    }

    /** @return list<CardFaces> all of an exam, in the order they were made */
    public function faces(Candidacy $candidacy): array
    {
        $covered = $this->covered($candidacy->user->id);

        return array_values($this->mine($candidacy)->orderBy('made_ms')->orderBy('id')->get()->map(
            fn (Card $card): CardFaces => CardFaces::of($card->front, $covered[$card->question_id] ?? $card->back),
        )->all());
    }

    /** @return int|null the question at a place of one of their sittings; null: there is none */
    public function question(string $sitting, int $position, User $user): ?int
    {
        $question = DB::table('sittings')
            ->join('test_items', 'test_items.test_id', '=', 'sittings.test_id')
            ->where('sittings.id', $sitting)
            ->where('sittings.user_id', $user->id)
            ->where('position', $position)
            ->value('question_id');

        return is_numeric($question) ? (int) $question : null;
    }

    public function view(Card $card, User $user): CardView
    {
        return $this->seen(
            card: $card,
            covered: $this->covered($user->id),
            candidacy: new Candidacy($user, Exam::query()->findOrFail($card->exam_id)),
        );
    }

    /** @return array<int, string> by question, why the backs of cards made from it are covered */
    public function covered(int $user): array
    {
        return array_map(KeyGate::whyCovered(...), $this->gate->covered($user));
    }

    /** @param  array<int, string>  $covered */
    private function seen(Card $card, array $covered, Candidacy $candidacy): CardView
    {
        $why = $covered[$card->question_id] ?? null;
        $examDay = $candidacy->enrolment()->examDay;
        $due = $examDay === null ? $card->due_day : min($card->due_day, $examDay - 1);

        return new CardView(
            id: $card->id,
            front: $card->front,
            back: $why === null ? $card->back : '',
            covered: $why,
            question: $card->question_id,
            section: $card->section,
            suspended: $card->suspended,
            looks: $card->looks,
            due: $card->suspended ? null : Moment::date(max($card->made_day, $due)),
            recall: $card->recall($candidacy->today($this->clock)),
        );
    }

    /** @return Builder<Card> */
    private function mine(Candidacy $candidacy): Builder
    {
        return Card::query()->ofCandidate($candidacy);
    }

    /** @return Builder<Card> */
    private function wanted(Candidacy $candidacy, CardsWanted $show, ?string $section): Builder
    {
        $cards = match ($show) {
            CardsWanted::All => $this->mine($candidacy),
            CardsWanted::Due => $this->due($candidacy),
            CardsWanted::Suspended => $this->mine($candidacy)->where('suspended', true),
        };

        return $cards
            ->when($section !== null, fn (Builder $from): Builder => $from->where('section', $section))
            ->orderBy('due_day')
            ->orderBy('made_ms')
            ->orderBy('id');
    }

    /**
     * @param  Builder<Card>  $cards
     * @param  array<int, string>  $covered
     * @return list<string>
     */
    private function finding(Builder $cards, string $words, array $covered): array
    {
        $texts = [];
        foreach ($cards->toBase()->get(['id', 'front', 'back', 'question_id']) as $row) {
            $back = isset($covered[(int) $row->question_id]) ? '' : (string) $row->back;
            $texts[(string) $row->id] = PlainExcerpt::whole("{$row->front} {$back}");
        }

        return array_map(strval(...), $this->texts->among($texts, SearchText::of($words)));
    }

    /** The day on which the next card after today comes back. */
    private function next(Candidacy $candidacy): ?string
    {
        $enrolment = $candidacy->enrolment();
        $today = $candidacy->today($this->clock);
        if ($enrolment->allIsDueOn($today)) {
            return null;
        }
        $day = $this->mine($candidacy)->where('suspended', false)->where('due_day', '>', $today)->min('due_day');
        if (! is_numeric($day)) {
            return null;
        }

        return Moment::date($enrolment->examDay === null ? (int) $day : min((int) $day, $enrolment->examDay - 1));
    }
}
