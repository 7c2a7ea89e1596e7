<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Database\Columns;
use App\Database\Pages;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\OwnStandings;
use App\Question\PlainExcerpt;
use App\Question\QuestionShowing;
use App\Question\QuestionView;
use App\Question\Syllabus;
use App\Question\TextSearch;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;
use Uplandia\Core\Assembly\Filter\DifficultyFilter;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Assembly\Pool as PoolName;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\QuestionSet;
use Uplandia\Core\Question\UnitKind;

/** The questions that some filters leave, a page at a time, to be picked by hand. */
final readonly class Picks
{
    private const AT_ONCE = 25;

    /** From what one knows nothing of to what one has got. */
    private const BY_OUTCOME = [
        PoolName::NewToMe, PoolName::LeftBlank, PoolName::Missed, PoolName::Partly, PoolName::ToBeMarked,
        PoolName::GotIt,
    ];

    public function __construct(private Bank $bank, private TextSearch $search)
    {
    }

    public function of(Candidacy $candidacy, Recipe $recipe, PickOrder $order, bool $down, int $page): PicksView
    {
        $syllabus = $candidacy->syllabus();
        $selection = $this->bank->selection(
            candidacy: $candidacy,
            filters: $recipe->filters,
        );
        $total = $selection->passing()->count();
        $pages = Pages::last($total, self::AT_ONCE);
        $page = min($page, $pages);
        $ids = $order === PickOrder::Stem
            ? $this->byStem($selection, $down, ($page - 1) * self::AT_ONCE)
            : self::around(
                $down ? array_reverse($this->groups($selection, $order)) : $this->groups($selection, $order),
                ($page - 1) * self::AT_ONCE,
            );

        return new PicksView(
            total: $total,
            page: $page,
            pages: $pages,
            questions: $this->about($ids, $candidacy->user, $syllabus),
        );
    }

    /**
     * What passes, in groups that are alike by what it is sorted by, in order.
     *
     * @return list<QuestionSet|list<int>> sets, or ids in order
     *
     * @throws Refusal for a topic that the exam does not have
     */
    private function groups(Selection $selection, PickOrder $order): array
    {
        $bank = $selection->bank;
        $groups = match ($order) {
            PickOrder::Topic => $this->bank->passingByTopic($selection),
            PickOrder::Kind => array_map(
                fn (Kind $kind): QuestionSet => $bank->having(KindFilter::FAMILY, [$kind->value]),
                Kind::cases(),
            ),
            PickOrder::Difficulty => array_map(
                fn (Difficulty $one): QuestionSet => $bank->having(DifficultyFilter::FAMILY, [$one->value]),
                Difficulty::cases(),
            ),
            PickOrder::Outcome => array_map(
                fn (PoolName $pool): QuestionSet => $bank->inAnyOf([$pool]),
                self::BY_OUTCOME,
            ),
            PickOrder::Stem => [$selection->passing()],
        };

        return array_map(
            fn (QuestionSet|array $group): QuestionSet|array => $group instanceof QuestionSet
                ? $selection->passing()->and($group)
                : $group,
            array_values($groups),
        );
    }

    /**
     * A page of what stands in groups.
     *
     * @param  list<QuestionSet|list<int>>  $groups
     * @param  int  $skip  how many questions stand on the pages before
     * @return list<int> ids
     */
    private static function around(array $groups, int $skip): array
    {
        $ids = [];
        foreach ($groups as $group) {
            $n = is_array($group) ? count($group) : $group->count();
            if ($skip < $n && count($ids) < self::AT_ONCE) {
                $all = is_array($group) ? $group : $group->ids();
                array_push($ids, ...array_slice($all, $skip, self::AT_ONCE - count($ids)));
            }
            $skip = max(0, $skip - $n);
        }

        return $ids;
    }

    /**
     * The same by the words of the stem, which only the database can sort.
     *
     * @return list<int> ids
     */
    private function byStem(Selection $selection, bool $down, int $skip): array
    {
        $sorted = DB::table('questions')
            ->where('questions.exam_id', $selection->bank->candidacy->exam->id)
            ->whereNull('questions.retired_at')
            ->select('questions.id');
        $this->search->inOrderOfStems($sorted, 'questions.id', $down)->orderBy('questions.id');

        return array_slice($selection->passing()->among(Columns::first($sorted)), $skip, self::AT_ONCE);
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

        return (new QuestionShowing(new Seed(Str::random(32)), true, $exam->voidsOverLimit()))->question(
            position: 0,
            kind: Kind::from((string) $row->kind),
            shown: (array) json_decode((string) $row->shown, true),
            marks: (string) $row->marks,
            penalty: '0',
            unit: null,
        );
    }

    /**
     * @param  list<int>  $ids  in order
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
