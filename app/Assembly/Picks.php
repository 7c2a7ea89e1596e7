<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\OwnStandings;
use App\Question\PlainExcerpt;
use App\Question\QuestionShowing;
use App\Question\QuestionView;
use App\Question\Syllabus;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\UnitKind;

/** The questions that some filters leave, a page at a time, to be picked by hand. */
final readonly class Picks
{
    private const AT_ONCE = 25;

    public function __construct(private Bank $bank)
    {
    }

    public function of(Candidacy $candidacy, Recipe $recipe, PickOrder $order, bool $down, int $page): PicksView
    {
        $syllabus = $candidacy->syllabus();
        $selection = $this->bank->selection(
            candidacy: $candidacy,
            filters: $recipe->filters,
        );
        $byTopic = $this->bank->passingByTopic($selection);
        $total = array_sum($byTopic);
        $pages = max(1, (int) ceil($total / self::AT_ONCE));
        $page = min($page, $pages);
        // First which, from an index where there is one; then all about these few.
        $passing = $this->bank->passing($selection);
        $skip = ($page - 1) * self::AT_ONCE;
        if ($order === PickOrder::Topic) {
            [$topics, $before] = self::around($down ? array_reverse($byTopic, true) : $byTopic, $skip);
            $passing->whereIntegerInRaw('questions.topic_id', collect($topics));
            $skip -= $before;
        }
        $ids = $this->sorted(questions: $passing, order: $order, down: $down, user: $candidacy->user)
            ->offset($skip)
            ->limit(self::AT_ONCE)
            ->pluck('questions.id')
            ->all();

        return new PicksView(
            total: $total,
            page: $page,
            pages: $pages,
            questions: $this->about($ids, $candidacy->user, $syllabus),
        );
    }

    /**
     * The topics that a page sorted by topic falls into, so that no others need be sorted.
     *
     * @param  array<int, int>  $byTopic  topic id => how many, in the order of the page
     * @param  int  $skip  how many questions stand on the pages before
     * @return array{list<int>, int} topic ids, and how many questions stand before the first of them
     */
    private static function around(array $byTopic, int $skip): array
    {
        $topics = [];
        $before = $from = 0;
        foreach ($byTopic as $topic => $n) {
            if ($from + $n > $skip && $from < $skip + self::AT_ONCE) {
                $topics[] = $topic;
            }
            $before = $topics === [] ? $from + $n : $before;
            $from += $n;
        }

        return [$topics, $before];
    }

    /**
     * A question as a test would show it, in an order of its own and without any answer.
     *
     * @throws Refusal when the exam has none of that number to ask
     */
    public function look(Exam $exam, int $question): QuestionView
    {
        $row = DB::table('questions')
            ->join('question_versions', 'question_versions.id', '=', 'questions.version_id')
            ->where('questions.exam_id', $exam->id)
            ->where('questions.id', $question)
            ->whereNull('questions.retired_at')
            ->first(['questions.kind', 'shown', 'marks']) ?? throw Refusal::notFound();

        return (new QuestionShowing(new Seed(Str::random(32)), shuffled: true))->question(
            position: 0,
            kind: Kind::from((string) $row->kind),
            shown: (array) json_decode((string) $row->shown, true),
            marks: (string) $row->marks,
            penalty: '0',
            unit: null,
        );
    }

    private function sorted(Builder $questions, PickOrder $order, bool $down, User $user): Builder
    {
        $way = $down ? 'desc' : 'asc';
        match ($order) {
            PickOrder::Topic => $questions
                ->join('topics', 'topics.id', '=', 'questions.topic_id')
                ->orderBy('topics.position', $way),
            PickOrder::Kind => $questions->orderBy('questions.kind', $way),
            PickOrder::Difficulty => $questions->orderByRaw(
                "case questions.difficulty when 'easy' then 1 when 'moderate' then 2 else 3 end {$way}",
            ),
            PickOrder::Stem => $questions
                ->join('question_versions', 'question_versions.id', '=', 'questions.version_id')
                ->orderBy('question_versions.shown->stem', $way),
            PickOrder::Outcome => $questions
                ->leftJoin('standings as latest', fn ($join) => $join
                    ->on('latest.question_id', '=', 'questions.id')
                    ->where('latest.user_id', $user->id))
                ->orderBy('latest.outcome', $way),
        };

        return $questions->orderBy('questions.id');
    }

    /**
     * @param  array<mixed>  $ids  in order
     * @return list<PickView>
     */
    private function about(array $ids, User $user, Syllabus $syllabus): array
    {
        $rows = OwnStandings::beside(DB::table('questions')
            ->join('question_versions', 'question_versions.id', '=', 'questions.version_id')
            ->leftJoin('units', 'units.id', '=', 'questions.unit_id'), $user->id)
            ->whereIn('questions.id', $ids)
            ->get([
                'questions.id', 'questions.topic_id', 'questions.kind', 'questions.difficulty',
                'question_versions.shown', 'units.kind as unit', 'outcome', 'flagged',
            ])
            ->keyBy('id');
        $views = [];
        foreach ($ids as $id) {
            if (isset($rows[$id])) {
                $views[] = self::view($rows[$id], $syllabus);
            }
        }

        return $views;
    }

    private static function view(stdClass $row, Syllabus $syllabus): PickView
    {
        $stem = json_decode((string) $row->shown, true)['stem'] ?? '';

        return new PickView(
            id: (int) $row->id,
            excerpt: PlainExcerpt::of(is_string($stem) ? $stem : ''),
            topic: $syllabus->get((int) $row->topic_id)->name,
            kind: Kind::from((string) $row->kind),
            difficulty: Difficulty::from((string) $row->difficulty),
            outcome: $row->outcome === null ? null : Outcome::from((string) $row->outcome),
            flagged: (bool) $row->flagged,
            unit: $row->unit === null ? null : UnitKind::from((string) $row->unit),
        );
    }
}
