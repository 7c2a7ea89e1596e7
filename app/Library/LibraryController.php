<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Operation;
use App\Question\ReportAbout;
use App\Sitting\Sitting;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Uplandia\Core\Marking\PlainText;

final readonly class LibraryController
{
    public function __construct(private Shelf $shelf, private ScratchPads $scratchPads)
    {
    }

    #[Operation('Stars, notes and highlights', returns: KeptAllView::class)]
    public function show(Sitting $sitting): JsonResponse
    {
        return new JsonResponse(new KeptAllView($this->shelf->of($sitting)));
    }

    #[Operation('Star a question')]
    public function star(StarRequest $request, Sitting $sitting, int $position): Response
    {
        $this->shelf->star($sitting, $position, $request->boolean('on'));

        return response()->noContent();
    }

    #[Operation('Keep a note')]
    public function note(NoteRequest $request, Sitting $sitting, int $position): Response
    {
        $this->shelf->note($sitting, $position, PlainText::trim($request->string('note')->value()));

        return response()->noContent();
    }

    #[Operation('Keep highlights')]
    public function highlights(HighlightsRequest $request, Sitting $sitting, int $position): Response
    {
        $this->shelf->highlight($sitting, $position, $request->highlights());

        return response()->noContent();
    }

    #[Operation('Tell the authors')]
    public function tell(WordRequest $request, Sitting $sitting, int $position): Response
    {
        $this->shelf->tell(
            sitting: $sitting,
            position: $position,
            about: ReportAbout::from($request->string('about')->value()),
            body: PlainText::trim($request->string('body')->value()),
        );

        return response()->noContent();
    }

    #[Operation('The scratch pad', returns: ScratchView::class)]
    public function scratch(Sitting $sitting): JsonResponse
    {
        return new JsonResponse($this->scratchPads->of($sitting));
    }

    #[Operation('Keep the scratch pad')]
    public function keepScratch(ScratchRequest $request, Sitting $sitting): Response
    {
        $this->scratchPads->keep($sitting, $request->string('words')->value(), $request->strokes());

        return response()->noContent();
    }
}
