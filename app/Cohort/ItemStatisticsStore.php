<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Clock\Moment;
use App\Question\Exam;
use App\Question\Tallies;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filter\TagFilter;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Cohort\ItemAnalysis;
use Uplandia\Core\Cohort\ItemStatistics;

/** Item statistics of each version, renewed from the cohort's first looks and kept. */
final readonly class ItemStatisticsStore
{
    private const NEW = 20;

    private const NEW_SHARE = 0.02;

    /** Rows in one piece. */
    private const AT_ONCE = 50;

    public function __construct(private FirstLooks $looks, private Tallies $tallies, private ClockInterface $clock)
    {
    }

    /**
     * Whether enough has been sat since the last time: at least twenty sittings that count, and at least a fiftieth of
     * all there were; or somebody has left the cohort, or come back to it.
     */
    public function isDue(Exam $exam): bool
    {
        $renewed = DB::table('item_statistics')->where('exam_id', $exam->id)->max('renewed_ms');
        $sat = fn (): Builder => DB::table('sittings')
            ->where('exam_id', $exam->id)
            ->where('counts', true)
            ->where('in_cohort', true)
            ->where('mode', Mode::Timed->value)
            ->whereNull('deleted_at');
        $moved = DB::table('enrolments')
            ->where('exam_id', $exam->id)
            ->where('cohort_ms', '>=', is_numeric($renewed) ? (int) $renewed : 0)
            ->exists();
        $new = $sat()->where('ended_ms', '>', is_numeric($renewed) ? (int) $renewed : 0)->count();

        return $moved || ($new >= self::NEW && $new >= self::NEW_SHARE * $sat()->count());
    }

    /**
     * In pieces, so that nobody who writes waits for long: between them some versions are known as of now, others as
     * of before.
     *
     * @return int how many versions have statistics now
     */
    public function renew(Exam $exam): int
    {
        $now = Moment::now($this->clock);
        $statistics = ItemAnalysis::of($this->looks->of($exam));
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
        foreach (array_chunk($rows, self::AT_ONCE) as $chunk) {
            DB::transaction(fn () => DB::table('item_statistics')->upsert($chunk, ['version_id']));
        }
        DB::table('item_statistics')->where('exam_id', $exam->id)->where('renewed_ms', '<', $now)->delete();
        DB::transaction(function () use ($exam): void {
            $this->tag($exam);
            $this->tallies->renew($exam->id);
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
            ->where('family', TagFilter::FOUND)
            ->whereIn('question_id', DB::table('questions')->select('id')->where('exam_id', $exam->id))
            ->delete();
        $tagged = DB::table('item_statistics')
            ->join('questions', 'questions.version_id', '=', 'item_statistics.version_id')
            ->where('item_statistics.exam_id', $exam->id)
            ->where('n', '>=', ItemStatistics::SHOWN_FROM)
            ->whereNotNull('facility')
            ->select('questions.id')
            ->selectRaw('? as family', [TagFilter::FOUND])
            ->selectRaw("case when facility >= 0.8 then 'easy' when facility >= 0.5 then 'moderate' else 'hard' end");
        DB::table('question_tags')->insertUsing(['question_id', 'family', 'value'], $tagged);
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
