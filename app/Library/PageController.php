<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Operation;
use App\Question\Candidacy;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Uplandia\Core\Marking\PlainText;

/** What one keeps with the pages of the handbook. */
final readonly class PageController
{
    public function __construct(private PageShelf $shelf)
    {
    }

    #[Operation('My notes and marks in the handbook', returns: PagesKeptView::class)]
    public function index(Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->shelf->of($candidacy));
    }

    #[Operation('Keep a note with a page')]
    public function note(NoteRequest $request, Candidacy $candidacy, string $section): Response
    {
        $this->shelf->note(
            candidacy: $candidacy,
            section: $section,
            note: PlainText::trim($request->string('note')->value()),
        );

        return response()->noContent();
    }

    #[Operation('Keep highlights of a page')]
    public function highlights(HighlightsRequest $request, Candidacy $candidacy, string $section): Response
    {
        $this->shelf->highlight(
            candidacy: $candidacy,
            section: $section,
            highlights: $request->highlights(),
        );

        return response()->noContent();
    }

    #[Operation('How far a page was read')]
    public function reading(ReadingRequest $request, Candidacy $candidacy, string $section): Response
    {
        $this->shelf->read(
            candidacy: $candidacy,
            section: $section,
            step: $request->integer('step'),
            finished: $request->boolean('finished'),
            reader: $request->string('reader')->value(),
            turn: $request->integer('turn'),
        );

        return response()->noContent();
    }
}
