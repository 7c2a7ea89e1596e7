<?php

declare(strict_types=1);

namespace App\Library;

use App\Account\User;
use App\Http\Contract\Get;
use App\Http\Contract\Put;
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

    #[Get('/api/exams/{exam}/handbook-kept', 'My notes and marks in the handbook', returns: PagesKeptView::class)]
    public function index(Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->shelf->of($exam, $user));
    }

    #[Put('/api/exams/{exam}/handbook/{section}/note', 'Keep a note with a page', takes: NoteRequest::class)]
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

    #[
        Put(
            '/api/exams/{exam}/handbook/{section}/highlights',
            'Keep highlights of a page',
            takes: HighlightsRequest::class,
        ),
    ]
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

    #[Put('/api/exams/{exam}/handbook/{section}/reading', 'How far a page was read', takes: ReadingRequest::class)]
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
