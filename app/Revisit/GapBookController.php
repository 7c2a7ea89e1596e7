<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Account\User;
use App\Http\Contract\Post;
use App\Question\Exam;
use App\Sitting\BuiltView;
use App\Sitting\QuickTest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Uplandia\Core\Assembly\Filters;

final readonly class GapBookController
{
    /** As many as one drills at a time. */
    private const DRILL = 20;

    public function __construct(private GapReader $gaps, private QuickTest $quick)
    {
    }

    #[Post('/api/exams/{exam}/gaps', 'Read my gap book', takes: GapsRequest::class, returns: GapBookView::class)]
    public function index(GapsRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->gaps->of(
            exam: $exam,
            user: $user,
            wanted: $request->wanted(),
            page: $request->integer('page'),
        ));
    }

    #[
        Post(
            '/api/exams/{exam}/gaps/sheet',
            'Print a study sheet of my gaps',
            takes: GapsRequest::class,
            returns: GapBookView::class,
        ),
    ]
    public function sheet(GapsRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->gaps->of(
            exam: $exam,
            user: $user,
            wanted: $request->wanted(),
            page: $request->integer('page'),
            sheet: true,
        ));
    }

    #[
        Post(
            '/api/exams/{exam}/gaps/drill',
            'Drill my gaps',
            takes: GapsRequest::class,
            returns: BuiltView::class,
            status: 201,
        ),
    ]
    public function drill(GapsRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $questions = array_slice($this->gaps->questions($exam, $user, $request->wanted()), 0, self::DRILL);
        $sitting = $this->quick->begin(
            exam: $exam,
            user: $user,
            filters: new Filters(only: $questions),
            most: count($questions),
            otherwise: 'There is nothing to drill: no such gap, or its questions are asked no more or in a test whose '.
                'clock runs.',
            name: 'From my gap book · '.count($questions),
        );

        return new JsonResponse(new BuiltView($sitting->id), 201);
    }
}
