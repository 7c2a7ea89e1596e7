<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Refusal;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Mode;

/**
 * A sitting that is done on paper: its booklet and its key can be printed, and its answers are typed in afterwards. It
 * counts as untimed, for nobody knows how long it took.
 */
final readonly class OnPaper
{
    public function __construct(private SittingRepository $repository, private KeyGate $gate)
    {
    }

    /** @throws Refusal when it has begun, or another sitting with a clock still asks for one of its questions */
    public function choose(Sitting $sitting): void
    {
        $this->repository->write($sitting, function (Sitting $sitting): void {
            if ($sitting->on_paper) {
                return;
            }
            if ($sitting->hasBegun()) {
                throw Refusal::conflict('begun', 'It has begun on screen, so it cannot be moved to paper.');
            }
            $sitting->test->refuseAdaptive(
                'Each question of an adaptive test depends on the answer before, so it cannot be sat on paper.',
            );
            $this->gate->refuseWhole($sitting);
            $sitting->update(['on_paper' => true, 'mode' => Mode::Untimed]);
        });
    }

    /**
     * Back to the screen, as if paper had never been chosen: until answers have been typed in. Whether a key was shown
     * meanwhile stays known, so no answer to it is a first look.
     *
     * @throws Refusal when answers are typed in, or it is handed in
     */
    public function takeBack(Sitting $sitting): void
    {
        $this->repository->write($sitting, function (Sitting $sitting): void {
            if (! $sitting->on_paper) {
                return;
            }
            if ($sitting->isHandedIn() || $sitting->answered > 0) {
                throw Refusal::conflict(
                    'typed_in',
                    'Answers from paper have been typed in, so it cannot be moved back to the screen.',
                );
            }
            // What was only opened to be typed in has nothing to keep, and runs under the rules of paper.
            foreach (['sitting_events', 'sitting_snapshots'] as $table) {
                DB::table($table)->where('sitting_id', $sitting->id)->delete();
            }
            $sitting->update([
                ...array_fill_keys(['terms', 'pen', 'packed_by', 'packed_ms'], null),
                ...array_fill_keys(['started_ms', 'contact_ms', 'deadline_ms'], null),
                ...array_fill_keys(['active_ms', 'events', 'last_seq', 'bytes'], 0),
                ...['on_paper' => false, 'mode' => $sitting->test->mode, 'status' => Stage::NotStarted],
            ]);
        });
    }
}
