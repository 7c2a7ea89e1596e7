<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\Bank;
use App\Clock\Moment;
use App\Question\Candidacy;
use App\Question\SyllabusTopic;
use App\Sitting\HandedIn;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Progress\EvidenceGate;
use Uplandia\Core\Result\Leaning;

/**
 * Reads where a candidate stands: what is kept of it, and what is counted.
 *
 * @phpstan-import-type Stands from ProgressSnapshot
 * @phpstan-import-type TopicStands from ProgressSnapshot
 * @phpstan-import-type SpellKept from BestHours
 */
final readonly class ProgressReader
{
    private const OUTLOOKS = 366;

    public function __construct(private KeptEstimates $kept, private Bank $bank, private StudyDays $days)
    {
    }

    public function of(Candidacy $candidacy): ProgressView
    {
        ['stands' => $stands, 'story' => $story, 'day' => $day] = $this->kept->of($candidacy);
        $days = $this->days->of($candidacy);

        return new ProgressView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            cut: (float) $candidacy->exam->rules['cut'],
            responses: $stands['responses'],
            responsesMissing: $stands['responsesMissing'],
            weightTouched: $stands['weightTouched'],
            untouched: EvidenceGate::isTouched($stands['weightTouched']) ? [] : $stands['untouched'],
            outlook: OutlookView::of($stands['outlook']),
            outlooks: $this->outlooks(candidacy: $candidacy, day: $day, stands: $stands),
            topics: $this->topics($candidacy, array_column($stands['topics'], null, 'code')),
            trend: array_map(
                fn (array $one): TrendSittingView => new TrendSittingView(
                    ...['mode' => Mode::from($one['mode'])] + $one,
                ),
                $story['trend'],
            ),
            months: array_map(
                fn (array $one): MonthView => new MonthView(
                    ...['leaning' => Leaning::from($one['leaning'])] + $one,
                ),
                $story['months'],
            ),
            hours: self::spells($stands['hours']),
            minutes: self::spells($stands['minutes']),
            days: $this->days->shown($candidacy, $days),
            bests: $this->days->bests($candidacy, $days),
            totalMs: array_sum(array_map(fn (StudyDayView $day): int => $day->ms, $days)),
            sittings: HandedIn::of($candidacy)->count(),
        );
    }

    /**
     * @param  list<SpellKept>  $kept
     * @return list<SpellView>
     */
    private static function spells(array $kept): array
    {
        return array_map(fn (array $one): SpellView => new SpellView(...$one), $kept);
    }

    /**
     * Those of earlier days as they are kept, and the one that is told now.
     *
     * @param  Stands  $stands
     * @return list<OutlookDayView> in order
     */
    private function outlooks(Candidacy $candidacy, int $day, array $stands): array
    {
        $told = $stands['outlook'] === null ? [] : [
            (object) ($stands['outlook'] + ['day' => $day, 'responses' => $stands['responses']]),
        ];
        $rows = DB::table('outlooks')
            ->where($candidacy->key())
            ->when($told !== [], fn (Builder $earlier): Builder => $earlier->where('day', '<', $day))
            ->orderByDesc('day')
            ->limit(self::OUTLOOKS)
            ->get();

        return array_map(
            fn (stdClass $row): OutlookDayView => new OutlookDayView(
                date: Moment::date((int) $row->day),
                chance: (float) $row->chance,
                low: (float) $row->low,
                high: (float) $row->high,
                responses: (int) $row->responses,
            ),
            [...array_reverse(array_values($rows->all())), ...$told],
        );
    }

    /**
     * @param  array<string, TopicStands>  $stands  by code
     * @return list<TopicStandView>
     */
    private function topics(Candidacy $candidacy, array $stands): array
    {
        $syllabus = $candidacy->syllabus();
        $coverage = Coverage::of($this->bank, $candidacy);

        return array_map(
            function (SyllabusTopic $top) use ($syllabus, $stands, $coverage): TopicStandView {
                $under = $syllabus->under($top);
                $stand = $stands[$top->code] ?? null;

                return new TopicStandView(
                    ...$coverage->over($top, ...$under),
                    code: $top->code,
                    name: $top->name,
                    weight: (float) $top->weight,
                    share: $stand['share'] ?? null,
                    low: $stand['low'] ?? null,
                    high: $stand['high'] ?? null,
                    responses: $stand['responses'] ?? 0,
                    stake: $stand['stake'] ?? null,
                    lever: $stand['lever'] ?? null,
                    parts: array_map(
                        fn (SyllabusTopic $sub): CoverageView => new CoverageView(
                            ...$coverage->over($sub),
                            code: $sub->code,
                            name: $sub->name,
                        ),
                        $under,
                    ),
                );
            },
            $syllabus->tops(),
        );
    }
}
