<?php

declare(strict_types=1);

namespace App\Result;

use App\Assembly\TestItem;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Cohort\ItemStatistics;
use Uplandia\Core\Marking\Outcome;

/** What stands beside an answer: the cohort's, and one's own of earlier sittings. */
final class ComparedAnswers
{
    private const MOST = 5;

    public function cohort(TestItem $item): ?CohortAnswersView
    {
        $kept = DB::table('item_statistics')->where('version_id', $item->version->id)->first();
        if ($kept === null || (int) $kept->n < ItemStatistics::SHOWN_FROM) {
            return null;
        }

        return new CohortAnswersView(
            n: (int) $kept->n,
            facility: (float) $kept->facility,
            medianMs: $kept->median_ms === null ? null : (int) $kept->median_ms,
            options: self::chosen($item, (string) $kept->options),
        );
    }

    /** @return array<string, float> what nobody chose is no less told; none: others did not choose among options */
    private static function chosen(TestItem $item, string $kept): array
    {
        $chosen = (array) json_decode($kept, true, flags: JSON_THROW_ON_ERROR);
        $options = array_column((array) ($item->version->shown['options'] ?? []), 'id');

        return $chosen === [] ? [] : $chosen + array_fill_keys($options, 0.0);
    }

    /** @return list<EarlierLookView> the latest first */
    public function earlier(Sitting $sitting, TestItem $item): array
    {
        $looks = DB::table('outcomes')
            ->where('user_id', $sitting->user_id)
            ->where('question_id', $item->version->question_id)
            ->where('sitting_id', '!=', $sitting->id)
            ->where('outcome', '!=', Outcome::NotReached->value)
            ->orderByDesc('settled_ms')
            ->limit(self::MOST)
            ->get(['settled_ms', 'outcome']);

        return array_map(
            fn (stdClass $look): EarlierLookView => new EarlierLookView(
                at: (int) $look->settled_ms,
                outcome: Outcome::from((string) $look->outcome),
            ),
            array_values($looks->all()),
        );
    }
}
