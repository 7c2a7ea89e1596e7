<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\HoldsBack;
use App\Http\Refusal;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Mode;

/**
 * A sitting that is done on paper: its booklet and its key can be printed, and its answers are typed in afterwards. It
 * counts as untimed, for nobody knows how long it took.
 */
final readonly class OnPaper
{
    public function __construct(private Desk $desk, private HoldsBack $running)
    {
    }

    /** @throws Refusal when it has begun, or another sitting with a clock still asks for one of its questions */
    public function choose(Sitting $sitting): void
    {
        $this->desk->write($sitting, function (Sitting $sitting): void {
            if ($sitting->on_paper) {
                return;
            }
            if ($sitting->hasBegun()) {
                throw Refusal::conflict('begun', 'It has begun on screen, so it cannot be moved to paper.');
            }
            $sitting->test->refuseAdaptive(
                'Each question of an adaptive test depends on the answer before, so it cannot be sat on paper.',
            );
            $this->refuseHeldBack($sitting);
            $sitting->update(['on_paper' => true, 'mode' => Mode::Untimed]);
        });
    }

    /** @throws Refusal while another sitting with a clock asks for one of its questions: its key must wait */
    public function refuseHeldBack(Sitting $sitting): void
    {
        $held = array_flip($this->running->heldBack($sitting->user));
        $questions = DB::table('test_items')->where('test_id', $sitting->test_id)->pluck('question_id');
        if ($questions->contains(fn (mixed $id): bool => isset($held[$id]))) {
            throw Refusal::conflict(
                'held_back',
                'A test of yours whose clock still runs asks some of these questions. Hand that in first. '
                    .'One that you deleted counts as long as you can have it back, which is ten minutes.',
            );
        }
    }
}
