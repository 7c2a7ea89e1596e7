<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Refusal;
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
}
