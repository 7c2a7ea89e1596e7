<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Account\User;
use App\Clock\Moment;
use App\Question\Candidacy;
use App\Question\Enrolment;
use App\Question\Exam;
use App\Question\PlainExcerpt;
use App\Sitting\KeyGate;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use stdClass;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Assembly\TextHits;
use Uplandia\Core\Revisit\CardFaces;
use Uplandia\Core\Revisit\Memory;
use Uplandia\Core\Revisit\Scheduler;

/** Reads a candidate's cards. */
final readonly class CardReader
{
    private const PAGE = 50;

    public function __construct(private KeyGate $gate, private ClockInterface $clock)
    {
    }

    public function of(
        Candidacy $candidacy,
        CardsWanted $show,
        string $words,
        ?string $section,
        int $page,
    ): CardsView {
        $enrolment = $candidacy->enrolment();
        $today = $candidacy->today($this->clock);
        $wanted = $this->wanted(candidacy: $candidacy, show: $show, section: $section);
        $covered = $this->covered($candidacy->user->id);
        $ids = $words === '' ? $wanted->pluck('id')->all() : $this->finding($wanted, $words, $covered);
        $pages = max(1, (int) ceil(count($ids) / self::PAGE));
        $page = min($page, $pages);
        $rows = DB::table('cards')->whereIn('id', array_slice($ids, ($page - 1) * self::PAGE, self::PAGE))->get();
        $order = array_flip($ids);
        $rows = $rows->sortBy(fn (stdClass $row): int => $order[$row->id]);

        return new CardsView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            today: Moment::date($today),
            all: $this->mine($candidacy)->count(),
            due: $this->due($candidacy)->count(),
            suspended: $this->mine($candidacy)->where('suspended', true)->count(),
            next: $this->next($candidacy),
            found: count($ids),
            page: $page,
            pages: $pages,
            cards: array_values($rows->map(fn (stdClass $row): CardView => $this->seen($row, $covered))->all()),
        );
    }

    /** Cards that are due, the longest first. */
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
        $rows = $this->mine($candidacy)->orderBy('made_ms')->orderBy('id')->get(['front', 'back', 'question_id']);
        $covered = $this->covered($candidacy->user->id);

        return array_values($rows->map(
            fn (stdClass $row): CardFaces => CardFaces::of(
                (string) $row->front,
                $covered[(int) $row->question_id] ?? (string) $row->back,
            ),
        )->all());
    }

    /** @return stdClass|null null: there is no such card of theirs */
    public function row(string $id, User $user): ?stdClass
    {
        /** @var stdClass|null $row */
        $row = DB::table('cards')->where('id', $id)->where('user_id', $user->id)->first();

        return $row;
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

    public function view(stdClass $row): CardView
    {
        return $this->seen($row, $this->covered((int) $row->user_id));
    }

    /** @return array<int, string> by question, why the backs of cards made from it are covered */
    public function covered(int $user): array
    {
        return array_map(KeyGate::whyCovered(...), $this->gate->covered($user));
    }

    /** @param  array<int, string>  $covered */
    private function seen(stdClass $row, array $covered): CardView
    {
        $why = $covered[(int) $row->question_id] ?? null;
        $enrolment = Enrolment::of((int) $row->user_id, (int) $row->exam_id);
        $today = $enrolment->dayOf(Moment::now($this->clock));
        $due = $enrolment->examDay === null ? (int) $row->due_day : min((int) $row->due_day, $enrolment->examDay - 1);

        return new CardView(
            id: (string) $row->id,
            front: (string) $row->front,
            back: $why === null ? (string) $row->back : '',
            covered: $why,
            question: $row->question_id === null ? null : (int) $row->question_id,
            section: $row->section === null ? null : (string) $row->section,
            suspended: (bool) $row->suspended,
            looks: (int) $row->looks,
            due: (bool) $row->suspended ? null : Moment::date(max((int) $row->made_day, $due)),
            recall: $row->stability === null
                ? null
                : Scheduler::recall(
                    new Memory((float) $row->stability, difficulty: 1),
                    $today - (int) $row->remembered_day,
                ),
        );
    }

    private function mine(Candidacy $candidacy): Builder
    {
        return DB::table('cards')->where($candidacy->key());
    }

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
     * @param  array<int, string>  $covered
     * @return list<string>
     */
    private function finding(Builder $cards, string $words, array $covered): array
    {
        $hits = new TextHits(SearchText::of($words));
        $found = [];
        foreach ($cards->get(['id', 'front', 'back', 'question_id']) as $row) {
            $back = isset($covered[(int) $row->question_id]) ? '' : (string) $row->back;
            if ($hits->finds(PlainExcerpt::whole("{$row->front} {$back}"))) {
                $found[] = (string) $row->id;
            }
        }

        return $found;
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
