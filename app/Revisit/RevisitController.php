<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Assembly\TestName;
use App\Clock\Moment;
use App\Database\Lock;
use App\Http\Contract\Operation;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Enrolment;
use App\Sitting\BuiltView;
use App\Sitting\QuickTest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filter\PickFilter;
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
    public function index(RevisitsRequest $request, Candidacy $candidacy): JsonResponse
    {
        return new JsonResponse($this->reader->of(
            candidacy: $candidacy,
            show: RevisitsShown::from($request->string('show')->value()),
            page: $request->integer('page'),
        ));
    }

    #[Operation('Begin a session of revisits', returns: BuiltView::class, status: 201)]
    public function begin(SessionRequest $request, Candidacy $candidacy): JsonResponse
    {
        $due = $this->reader->due($candidacy, $request->integer('count'));
        $sitting = $this->quick->begin(
            candidacy: $candidacy,
            filters: new Filters(new PickFilter($due)),
            most: count($due),
            otherwise: 'Nothing is due to revisit just now.',
            name: TestName::dated('Revisits · '.count($due), $candidacy),
        );

        return new JsonResponse(BuiltView::of($sitting), 201);
    }

    #[Operation('Say when a question comes back')]
    public function say(RevisitWordRequest $request, Candidacy $candidacy, int $question): Response
    {
        $met = DB::table('standings')
            ->where($candidacy->key())
            ->where('question_id', $question)
            ->whereNotNull('outcome')
            ->exists();
        if (! $met) {
            throw Refusal::notFound();
        }
        $now = Moment::now($this->clock);
        $days = $request->input('days') === null ? null : $request->integer('days');
        Lock::person($candidacy->user->id, function () use ($request, $candidacy, $question, $now, $days): void {
            DB::table('revisit_words')->upsert(
                [
                    'user_id' => $candidacy->user->id,
                    'question_id' => $question,
                    'exam_id' => $candidacy->exam->id,
                    'suspended' => $request->boolean('suspended'),
                    'until_day' => $days === null
                        ? null
                        : Enrolment::of($candidacy->user->id, $candidacy->exam->id)->dayOf($now) + $days,
                    'said_ms' => $now,
                ],
                ['user_id', 'question_id'],
            );
            $this->standings->renew($candidacy->user->id, $candidacy->exam->id, [$question]);
        });

        return response()->noContent();
    }
}
