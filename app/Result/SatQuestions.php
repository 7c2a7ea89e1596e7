<?php

declare(strict_types=1);

namespace App\Result;

use App\Question\Syllabus;
use App\Sitting\KeyGate;
use App\Sitting\Sitting;
use Brick\Math\BigRational;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Cohort\ItemStatistics;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Result\QuestionResult;
use Uplandia\Core\Sitting\Sureness;

/** Reads what came of each question of a sitting, with what the candidate and the cohort have to say of it. */
final readonly class SatQuestions
{
    public function __construct(private KeyGate $gate)
    {
    }

    /** Before the family of a tag. */
    public const TAG = 'tag:';

    private const COLUMNS = [
        'outcomes.position',
        'outcomes.question_id',
        'outcomes.topic_id',
        'outcomes.section',
        'outcomes.version_id',
        'outcomes.outcome',
        'outcomes.flagged',
        'outcomes.response',
        'credit',
        'first_credit',
        'outcomes.marks',
        'possible',
        'penalty',
        'changes',
        'struck',
        'sureness',
        'active_ms',
        'cohort_ms',
        'settled_ms',
        'kind',
        'difficulty',
        'question_versions.tags',
        'question_versions.shown as presented',
        'withheld',
        'item_statistics.n as cohort_n',
        'item_statistics.facility',
        'starred',
        'noted',
        'gap_open',
        'cause',
    ];

    /** @return list<SatQuestion> in the order of the test, but for what a test whose clock is not over still asks */
    public function of(Sitting $sitting): array
    {
        $untold = array_keys($this->gate->untold($sitting));
        $sitting->loadMissing('test.exam');
        $syllabus = Syllabus::of($sitting->test->exam);
        $own = fn (string $table): callable => fn (JoinClause $join): JoinClause => $join
            ->on("{$table}.question_id", '=', 'outcomes.question_id')
            ->where("{$table}.user_id", $sitting->user_id);
        $rows = DB::table('outcomes')
            ->join('question_versions', 'question_versions.id', '=', 'outcomes.version_id')
            ->join(
                'test_items',
                fn (JoinClause $join): JoinClause => $join
                    ->on('test_items.position', '=', 'outcomes.position')
                    ->where('test_items.test_id', $sitting->test_id),
            )
            ->leftJoin('item_statistics', 'item_statistics.version_id', '=', 'outcomes.version_id')
            ->leftJoin('standings', $own('standings'))
            ->leftJoin('gap_entries', $own('gap_entries'))
            ->where('outcomes.sitting_id', $sitting->id)
            ->when($untold !== [], fn (Builder $told): Builder => $told->whereNotIn('outcomes.position', $untold))
            ->orderBy('outcomes.position')
            ->get(self::COLUMNS);
        $schemes = $credits = $sat = [];
        foreach ($rows as $row) {
            $topic = $syllabus->get((int) $row->topic_id);
            $top = $syllabus->topOf($topic->id)->name;
            $shown = (array) json_decode((string) $row->presented, true);
            $withheld = (array) json_decode((string) $row->withheld, true);
            $result = self::result(
                row: $row,
                choices: $row->kind === Kind::Single->value ? self::choices($shown, $withheld) : [[], null],
                // Most are alike, and exact fractions are dear to read.
                scheme: ($schemes["{$row->possible} {$row->penalty}"] ??= new MarkScheme(
                    (string) $row->possible,
                    (string) $row->penalty,
                )),
                credit: ($credits["{$row->outcome} {$row->credit}"] ??= Credit::stored(
                    Outcome::from((string) $row->outcome),
                    $row->credit,
                )),
                labels: [
                    'topic' => $top,
                    'subtopic' => $topic->code,
                    'difficulty' => (string) $row->difficulty,
                    'kind' => (string) $row->kind,
                ] + ($row->section === null ? [] : ['section' => (string) $row->section]) + self::tags($row),
            );
            $sat[] = new SatQuestion(
                result: $result,
                topic: $top,
                subtopic: $topic->name,
                shown: $shown,
                withheld: $withheld,
                questionId: (int) $row->question_id,
                versionId: (int) $row->version_id,
                kind: Kind::from((string) $row->kind),
                difficulty: Difficulty::from((string) $row->difficulty),
                response: is_array($response = json_decode((string) $row->response, true)) ? $response : null,
                settledMs: (int) $row->settled_ms,
                facility: $row->facility === null || (int) $row->cohort_n < ItemStatistics::SHOWN_FROM
                    ? null
                    : (float) $row->facility,
                flagged: (bool) $row->flagged,
                starred: (bool) $row->starred,
                noted: (bool) $row->noted,
                cause: $row->cause === null ? null : Cause::from((string) $row->cause),
                inGapBook: (bool) $row->gap_open,
            );
        }

        return $sat;
    }

    /** @return array<string, list<string>> "tag:family" => values */
    private static function tags(stdClass $row): array
    {
        $tags = [];
        foreach ((array) json_decode((string) $row->tags, true) as $family => $values) {
            $tags[self::TAG.$family] = array_values(array_filter((array) $values, is_string(...)));
        }

        return $tags;
    }

    /**
     * @param  array<mixed>  $shown
     * @param  array<mixed>  $withheld
     * @return array{list<string>, string|null} options, and which of them is the key
     */
    private static function choices(array $shown, array $withheld): array
    {
        $options = array_column((array) ($shown['options'] ?? []), 'id');

        return [
            array_values(array_filter($options, is_string(...))),
            is_string($withheld['key'] ?? null) ? $withheld['key'] : null,
        ];
    }

    /**
     * @param  array{list<string>, string|null}  $choices
     * @param  array<string, string|list<string>>  $labels
     */
    private static function result(
        stdClass $row,
        array $choices,
        MarkScheme $scheme,
        Credit $credit,
        array $labels,
    ): QuestionResult {
        [$options, $key] = $choices;

        return new QuestionResult(
            position: (int) $row->position,
            labels: $labels,
            credit: $credit,
            scheme: $scheme,
            firstCredit: $row->first_credit === null ? null : Credit::of(BigRational::of((string) $row->first_credit)),
            ms: (int) $row->active_ms,
            cohortMedianMs: $row->cohort_ms === null ? null : (float) $row->cohort_ms,
            sureness: $row->sureness === null ? null : Sureness::from((string) $row->sureness),
            luck: $options === [] ? 0.0 : 1 / count($options),
            options: $options,
            struck: array_values(array_filter((array) json_decode((string) $row->struck, true), is_string(...))),
            key: $key,
            changes: (int) $row->changes,
        );
    }
}
