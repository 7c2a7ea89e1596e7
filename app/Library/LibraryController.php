<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Get;
use App\Http\Contract\Put;
use App\Sitting\Sitting;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Uplandia\Core\Marking\PlainText;

final readonly class LibraryController
{
    public function __construct(private Shelf $shelf)
    {
    }

    #[Get('/api/sittings/{sitting}/kept', 'Stars and notes', returns: KeptAllView::class)]
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
}
