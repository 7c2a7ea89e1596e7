<?php

declare(strict_types=1);

namespace App\Library;

use App\Account\User;
use App\Http\Contract\Operation;
use App\Question\Exam;
use Illuminate\Container\Attributes\CurrentUser;
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
    public function index(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->shelf->of($exam, $user));
    }

    #[Operation('Keep a note with a page')]
    public function note(NoteRequest $request, Exam $exam, string $section, #[CurrentUser] User $user): Response
    {
        $this->shelf->note(
            exam: $exam,
            user: $user,
            section: $section,
            note: PlainText::trim($request->string('note')->value()),
        );

        return response()->noContent();
    }

    #[Operation('Keep highlights of a page')]
    public function highlights(
        HighlightsRequest $request,
        Exam $exam,
        string $section,
        #[CurrentUser] User $user,
    ): Response {
        $this->shelf->highlight(
            exam: $exam,
            user: $user,
            section: $section,
            highlights: $request->highlights(),
        );

        return response()->noContent();
    }

    #[Operation('How far a page was read')]
    public function reading(ReadingRequest $request, Exam $exam, string $section, #[CurrentUser] User $user): Response
    {
        $this->shelf->read(
            exam: $exam,
            user: $user,
            section: $section,
            step: $request->integer('step'),
            finished: $request->boolean('finished'),
            reader: $request->string('reader')->value(),
            turn: $request->integer('turn'),
        );

        return response()->noContent();
    }
}
