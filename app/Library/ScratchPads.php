<?php

declare(strict_types=1);

namespace App\Library;

use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** What a candidate types and draws beside a sitting: one pad each, the same on every device. */
final readonly class ScratchPads
{
    public function __construct(private ClockInterface $clock)
    {
    }

    public function of(Sitting $sitting): ScratchView
    {
        $pad = DB::table('scratch_pads')->where('sitting_id', $sitting->id)->first();
        /** @var list<string> $strokes */
        $strokes = $pad === null ? [] : json_decode((string) $pad->strokes, true, flags: JSON_THROW_ON_ERROR);

        return new ScratchView((string) $pad?->words, $strokes);
    }

    /** @param  list<string>  $strokes */
    public function keep(Sitting $sitting, string $words, array $strokes): void
    {
        DB::table('scratch_pads')->upsert(
            [
                'sitting_id' => $sitting->id,
                'words' => $words,
                'strokes' => json_encode($strokes, JSON_THROW_ON_ERROR),
                'updated_at' => $this->clock->now(),
            ],
            ['sitting_id'],
            ['words', 'strokes', 'updated_at'],
        );
    }
}
