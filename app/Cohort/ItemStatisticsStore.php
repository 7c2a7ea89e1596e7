<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Account\Role;
use App\Clock\Moment;
use App\Question\Exam;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Cohort\ItemAnalysis;
use Uplandia\Core\Cohort\ItemStatistics;
use Uplandia\Core\Cohort\Look;
use Uplandia\Core\Question\Kind;

/** Item statistics of each version, renewed from the cohort's first looks and kept. */
final readonly class ItemStatisticsStore
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /** @return int how many versions have statistics now */
    public function renew(Exam $exam): int
    {
        $now = Moment::now($this->clock);
        $statistics = ItemAnalysis::of($this->looks($exam));
        $rows = array_map(
            fn (int $version, ItemStatistics $item): array => $this->row(
                exam: $exam,
                version: $version,
                item: $item,
                now: $now,
            ),
            array_keys($statistics),
            $statistics,
        );
        DB::transaction(function () use ($exam, $rows): void {
            DB::table('item_statistics')->where('exam_id', $exam->id)->delete();
            foreach (array_chunk($rows, 50) as $chunk) {
                DB::table('item_statistics')->insert($chunk);
            }
            $this->tag($exam);
        });

        return count($rows);
    }

    /**
     * Says beside each question how difficult the cohort finds it, where enough have tried, so that it can be
     * filtered.
     */
    private function tag(Exam $exam): void
    {
        DB::table('question_tags')
            ->where('family', Filters::FOUND)
            ->whereIn('question_id', DB::table('questions')->select('id')->where('exam_id', $exam->id))
            ->delete();
        $tagged = DB::table('item_statistics')
            ->join('questions', 'questions.version_id', '=', 'item_statistics.version_id')
            ->where('item_statistics.exam_id', $exam->id)
            ->where('n', '>=', ItemStatistics::SHOWN_FROM)
            ->whereNotNull('facility')
            ->select('questions.id')
            ->selectRaw('? as family', [Filters::FOUND])
            ->selectRaw("case when facility >= 0.8 then 'easy' when facility >= 0.5 then 'moderate' else 'hard' end");
        DB::table('question_tags')->insertUsing(['question_id', 'family', 'value'], $tagged);
    }

    /**
     * First looks in timed sittings that count, by candidates.
     *
     * @return iterable<Look> the item is the version
     */
    private function looks(Exam $exam): iterable
    {
        $rows = DB::table('outcomes')
            ->join('sittings', 'sittings.id', '=', 'outcomes.sitting_id')
            ->join('tests', 'tests.id', '=', 'sittings.test_id')
            ->join('users', 'users.id', '=', 'outcomes.user_id')
            ->join('question_versions', 'question_versions.id', '=', 'outcomes.version_id')
            ->where('outcomes.exam_id', $exam->id)
            ->where('outcomes.counts', true)
            ->where('outcomes.first_look', true)
            ->where('tests.mode', Mode::Timed->value)
            ->where('users.role', Role::Candidate->value)
            ->whereNotExists(
                fn ($roles) => $roles
                    ->from('exam_roles')
                    ->where('exam_roles.exam_id', $exam->id)
                    ->whereColumn('exam_roles.user_id', 'outcomes.user_id'),
            )
            ->whereNotNull('outcomes.share')
            ->select([
                'outcomes.user_id',
                'outcomes.version_id',
                'outcomes.share',
                'outcomes.response',
                'outcomes.active_ms',
                'kind',
            ])
            ->cursor();
        foreach ($rows as $row) {
            $choice =
                $row->kind === Kind::Single->value
                    ? json_decode((string) $row->response, true)['choice'] ?? null
                    : null;
            yield new Look(
                person: (int) $row->user_id,
                item: (int) $row->version_id,
                credit: (float) $row->share,
                option: is_string($choice) ? $choice : null,
                ms: (int) $row->active_ms,
            );
        }
    }

    /** @return array<string, mixed> */
    private function row(Exam $exam, int $version, ItemStatistics $item, int $now): array
    {
        $quartiles =
            $item->quartilesMs === null
                ? [null, null, null]
                : array_map(fn (float $ms): int => (int) round($ms), $item->quartilesMs);

        return [
            'version_id' => $version,
            'exam_id' => $exam->id,
            'n' => $item->n,
            'facility' => $item->facility,
            'item_rest' => $item->itemRest,
            'upper_lower' => $item->upperLower,
            'options' => json_encode((object) $item->optionShares, JSON_THROW_ON_ERROR),
            'lower_ms' => $quartiles[0],
            'median_ms' => $quartiles[1],
            'upper_ms' => $quartiles[2],
            'renewed_ms' => $now,
        ];
    }
}
