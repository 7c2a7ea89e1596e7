<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Account\User;
use App\Clock\Moment;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Question\Enrolment;
use App\Question\Exam;
use App\Sitting\BuiltView;
use App\Sitting\QuickTest;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filters;

final readonly class RevisitController
{
    public function __construct(
        private RevisitReader $reader,
        private Standings $standings,
        private QuickTest $quick,
        private ClockInterface $clock,
    ) {
    }

    #[Operation('List revisits', returns: RevisitsView::class)]
    public function index(RevisitsRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->reader->of(
            exam: $exam,
            user: $user,
            show: RevisitsShown::from($request->string('show')->value()),
            page: $request->integer('page'),
        ));
    }

    #[Operation('Begin a session of revisits', returns: BuiltView::class, status: 201)]
    public function begin(SessionRequest $request, Exam $exam, #[CurrentUser] User $user): JsonResponse
    {
        $due = $this->reader->due($exam, $user, $request->integer('count'));
        $sitting = $this->quick->begin(
            exam: $exam,
            user: $user,
            filters: new Filters(only: $due),
            most: count($due),
            otherwise: 'Nothing is due to revisit just now.',
            name: 'Revisits · '.count($due),
        );

        return new JsonResponse(new BuiltView($sitting->id), 201);
    }

    #[Operation('Say when a question comes back')]
    public function say(RevisitWordRequest $request, Exam $exam, int $question, #[CurrentUser] User $user): Response
    {
        $met = DB::table('standings')
            ->where('user_id', $user->id)
            ->where('exam_id', $exam->id)
            ->where('question_id', $question)
            ->whereNotNull('outcome')
            ->exists();
        if (! $met) {
            throw Refusal::notFound();
        }
        $now = Moment::now($this->clock);
        $days = $request->input('days') === null ? null : $request->integer('days');
        DB::transaction(function () use ($request, $exam, $user, $question, $now, $days): void {
            DB::table('revisit_words')->upsert(
                [
                    'user_id' => $user->id,
                    'question_id' => $question,
                    'exam_id' => $exam->id,
                    'suspended' => $request->boolean('suspended'),
                    'until_day' => $days === null
                        ? null
                        : Enrolment::of($user->id, $exam->id)->dayOf($now) + $days,
                    'said_ms' => $now,
                ],
                ['user_id', 'question_id'],
            );
            $this->standings->renew($user->id, $exam->id, [$question]);
        });

        return response()->noContent();
    }
}
