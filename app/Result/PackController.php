<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Sitting\PackRequest;
use App\Sitting\Sitting;
use App\Sitting\SittingRepository;
use App\Sitting\TabLock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Uplandia\Core\Assembly\Mode;

/** Takes a sitting along on a device, and gives it back. */
final readonly class PackController
{
    public function __construct(
        private SittingRepository $repository,
        private TabLock $tabLock,
        private Explainer $explainer,
        private ShownKeys $keys,
    ) {
    }

    #[Operation('Take a sitting along', returns: PackView::class)]
    public function store(PackRequest $request, Sitting $sitting): JsonResponse
    {
        $tab = $request->string('tab')->value();
        $this->repository->write($sitting, function (Sitting $sitting, int $now) use ($tab): void {
            $this->repository->refuseHandedIn($sitting);
            if (! $sitting->hasBegun()) {
                throw Refusal::unmet('not_started', 'Begin the sitting first.');
            }
            $sitting->test->refuseAdaptive(
                'The next question of an adaptive test comes from the server, so it cannot be taken along.',
            );
            $this->tabLock->check($sitting, $tab);
            $sitting->fill(['packed_by' => $tab, 'packed_ms' => $now, 'contact_ms' => $now]);
        });
        $sitting->refresh();
        // A tutor shows the key after each answer, and there will be nobody to ask for it.
        $along = $sitting->mode === Mode::Tutor ? $this->keys->takeAlong($sitting) : [];
        $explanations = $along === []
            ? []
            : $this->explainer->whole($sitting, $this->repository->state($sitting), $along);

        return new JsonResponse(new PackView($sitting->id, $explanations));
    }

    #[Operation('Give a sitting back that was taken along')]
    public function destroy(Sitting $sitting): Response
    {
        $this->repository->write($sitting, function (Sitting $sitting): void {
            $sitting->fill(['packed_by' => null, 'packed_ms' => null]);
        });

        return new Response(status: 204);
    }
}
