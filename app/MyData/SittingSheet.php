<?php

declare(strict_types=1);

namespace App\MyData;

use App\Sitting\Stage;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use stdClass;

/** A sitting as an archive has it: its test, its terms, and everything that happened in it. */
final class SittingSheet
{
    private const TEST = [
        'id', 'of_exam', 'section', 'title', 'mode', 'minutes', 'seconds_each', 'shuffled', 'running_score',
        'asks_sureness', 'seed', 'adaptive', 'created_at', 'updated_at',
    ];

    private const SITTING = [
        'id', 'name', 'mode', 'on_paper', 'reserve_ms', 'status', 'started_ms', 'contact_ms', 'note_title',
        'note', 'created_at', 'updated_at',
    ];

    private const BOOLEANS = ['of_exam', 'shuffled', 'running_score', 'asks_sureness', 'on_paper'];

    /**
     * @param  bool  $withheld  a test whose clock is not over asks the same
     * @return array<string, mixed> as the schema has it
     */
    public static function of(string $id, bool $withheld = false): array
    {
        /** @var stdClass $row */
        $row = DB::table('sittings')
            ->join('exams', 'exams.id', '=', 'sittings.exam_id')
            ->where('sittings.id', $id)
            ->first(['exams.slug', 'sittings.*']);
        $items = DB::table('test_items')->where('test_id', $row->test_id)->orderBy('position')->get();
        $versions = PartTokens::ofVersions(array_map(intval(...), array_values($items->pluck('version_id')->all())));
        $byPosition = array_map(fn (stdClass $item): array => $versions[(int) $item->version_id], $items->all());
        // Who could read it would know in which order the options were written, before they may know the key.
        $closed = $row->status === Stage::HandedIn->value;
        $pad = DB::table('scratch_pads')->where('sitting_id', $id)->first();

        return [
            'exam' => $row->slug,
            ...self::columns($row, self::SITTING),
            'terms' => $row->terms === null ? null : json_decode($row->terms, true),
            'secret' => $closed && ! $withheld ? $row->secret : null,
            'test' => self::test((string) $row->test_id) + [
                'items' => $items->map(fn (stdClass $item): array => [
                    'question' => $versions[(int) $item->version_id]['code'],
                    'version' => $versions[(int) $item->version_id]['print'],
                    'marks' => $item->marks,
                    'penalty' => $item->penalty,
                    'section' => $item->section,
                ])->all(),
            ],
            'events' => self::events($id, $byPosition),
            'facts' => DB::table('outcomes')
                ->where('sitting_id', $id)
                ->orderBy('position')
                ->get(['position', 'cohort_ms', 'day'])
                ->map(fn (stdClass $fact): array => (array) $fact)
                ->all(),
            'exposures' => DB::table('exposures')
                ->join('test_items', fn (JoinClause $asked): JoinClause => $asked
                    ->on('test_items.question_id', '=', 'exposures.question_id')
                    ->where('test_items.test_id', $row->test_id))
                ->where('sitting_id', $id)
                ->orderBy('position')
                ->orderBy('how')
                ->get(['position', 'how', 'at_ms', 'day'])
                ->map(fn (stdClass $one): array => (array) $one)
                ->all(),
            'scratch' => $pad === null ? null : [
                'words' => $pad->words,
                'strokes' => json_decode($pad->strokes, true),
                'updated_at' => $pad->updated_at,
            ],
        ];
    }

    /**
     * @param  array<int, array{tokens: array<string, string>}>  $byPosition
     * @return list<array<string, mixed>>
     */
    private static function events(string $id, array $byPosition): array
    {
        $events = [];
        foreach (DB::table('sitting_events')->where('sitting_id', $id)->orderBy('id')->cursor() as $row) {
            $value = $row->value;
            if ($value !== null && $row->position !== null) {
                $value = strtr($value, $byPosition[$row->position]['tokens'] ?? []);
            }
            $events[] = [
                'id' => $row->uid,
                'seq' => $row->seq,
                'kind' => $row->kind,
                'at_ms' => $row->at_ms,
                'made_ms' => $row->made_ms,
                'position' => $row->position,
                'value' => $value === null ? null : json_decode($value, true),
            ];
        }

        return $events;
    }

    /** @return array<string, mixed> */
    private static function test(string $id): array
    {
        /** @var stdClass $row */
        $row = DB::table('tests')->where('id', $id)->first();
        $series = DB::table('series_tests')
            ->join('series', 'series.id', '=', 'series_tests.series_id')
            ->where('series_tests.id', $row->series_test_id)
            ->first(['series.code as series', 'series_tests.code as test']);

        return self::columns($row, self::TEST) + [
            'paper' => DB::table('papers')->where('id', $row->paper_id)->value('code'),
            'series' => $series === null ? null : (array) $series,
            'recipe' => $row->recipe_id,
            'reasons' => $row->reasons === null ? null : json_decode($row->reasons, true),
        ];
    }

    /**
     * @param  list<string>  $columns
     * @return array<string, mixed>
     */
    private static function columns(stdClass $row, array $columns): array
    {
        $told = [];
        foreach ($columns as $column) {
            $value = $row->{$column};
            $told[$column] = in_array($column, self::BOOLEANS, true) ? (bool) $value : $value;
        }

        return $told;
    }
}
