<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Get;
use App\Http\Contract\Post;
use App\Http\Contract\Put;
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

    #[Get('/api/sittings/{sitting}/kept', 'Stars, notes and highlights', returns: KeptAllView::class)]
    public function show(Sitting $sitting): JsonResponse
    {
        return new JsonResponse(new KeptAllView($this->shelf->of($sitting)));
    }

    #[Put('/api/sittings/{sitting}/questions/{position}/star', 'Star a question', takes: StarRequest::class)]
    public function star(StarRequest $request, Sitting $sitting, int $position): Response
    {
        $this->shelf->star($sitting, $position, $request->boolean('on'));

        return response()->noContent();
    }

    #[Put('/api/sittings/{sitting}/questions/{position}/note', 'Keep a note', takes: NoteRequest::class)]
    public function note(NoteRequest $request, Sitting $sitting, int $position): Response
    {
        $this->shelf->note($sitting, $position, PlainText::trim($request->string('note')->value()));

        return response()->noContent();
    }

    #[
        Put(
            '/api/sittings/{sitting}/questions/{position}/highlights',
            'Keep highlights',
            takes: HighlightsRequest::class,
        ),
    ]
    public function highlights(HighlightsRequest $request, Sitting $sitting, int $position): Response
    {
        $this->shelf->highlight($sitting, $position, $request->highlights());

        return response()->noContent();
    }

    #[Post('/api/sittings/{sitting}/questions/{position}/words', 'Tell the authors', takes: WordRequest::class)]
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

    #[Get('/api/sittings/{sitting}/scratch', 'The scratch pad', returns: ScratchView::class)]
    public function scratch(Sitting $sitting): JsonResponse
    {
        return new JsonResponse($this->scratchPads->of($sitting));
    }

    #[Put('/api/sittings/{sitting}/scratch', 'Keep the scratch pad', takes: ScratchRequest::class)]
    public function keepScratch(ScratchRequest $request, Sitting $sitting): Response
    {
        $this->scratchPads->keep($sitting, $request->string('words')->value(), $request->strokes());

        return response()->noContent();
    }
}
