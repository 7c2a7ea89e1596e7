<?php

declare(strict_types=1);

namespace App\Today;

use App\Account\User;
use App\Assembly\Bank;
use App\Clock\Moment;
use App\Http\Afterwards;
use App\Http\Contract\Operation;
use App\Plan\ThisWeek;
use App\Progress\KeptEstimates;
use App\Progress\OutlookView;
use App\Question\Candidacy;
use App\Question\Enrolment;
use App\Question\Exam;
use App\Revisit\DueDays;
use App\Sitting\BuiltView;
use App\Sitting\Closing;
use App\Sitting\KeyGate;
use App\Sitting\Sitting;
use App\Sitting\Stage;
use Brick\Math\BigRational;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Shown;

final class TodayController
{
    private const RESULTS = 10;

    private const OPEN = 20;

    public function __construct(
        private readonly Closing $closing,
        private readonly Bank $bank,
        private readonly QuickStarts $quick,
        private readonly KeptEstimates $kept,
        private readonly NextSteps $steps,
        private readonly ThisWeek $week,
        private readonly KeyGate $gate,
        private readonly DueDays $due,
        private readonly Afterwards $afterwards,
        private readonly ClockInterface $clock,
    ) {
    }

    #[Operation('List exams', returns: ExamsView::class)]
    public function exams(#[CurrentUser] User $user): JsonResponse
    {
        $chosen = Exam::query()->whereKey($user->chosen_exam_id)->value('slug');

        return new JsonResponse(new ExamsView($this->links($user), is_string($chosen) ? $chosen : null));
    }

    #[Operation('Study for an exam')]
    public function choose(Candidacy $candidacy): Response
    {
        $candidacy->user->update(['chosen_exam_id' => $candidacy->exam->id]);

        return response()->noContent();
    }

    #[Operation('What about today', returns: TodayView::class)]
    public function show(Candidacy $candidacy): JsonResponse
    {
        $sittings = fn () => Sitting::query()->where($candidacy->key());
        $open = $sittings()
            ->whereIn('status', [Stage::NotStarted, Stage::Open])
            ->latest('updated_at')
            ->limit(self::OPEN)
            ->get();
        $past = $sittings()
            ->where('status', Stage::HandedIn)
            ->withExists(['test as is_adaptive' => fn (EloquentBuilder $test) => $test->whereNotNull('adaptive')])
            ->latest('ended_ms')
            ->limit(self::RESULTS)
            ->get();

        if ($open->contains(fn (Sitting $sitting): bool => $this->closing->isOverdue($sitting))) {
            $this->afterwards->do(function () use ($candidacy): void {
                $this->closing->closeAllOver($candidacy->user);
            });
        }
        $withheld = $this->gate->withheld($candidacy->user->id, $past);
        $counts = $this->bank->counts($candidacy);
        $quick = $this->quick->of($candidacy, $counts);
        $enrolment = $candidacy->enrolment();
        $toGo = $enrolment->daysToGo(Moment::now($this->clock));
        $kept = $this->kept->of($candidacy);

        return new JsonResponse(
            new TodayView(
                exam: $candidacy->exam->slug,
                examName: $candidacy->exam->name,
                summary: $candidacy->exam->summary,
                counts: $counts,
                quick: $quick,
                open: array_map($this->open(...), array_values($open->all())),
                past: array_map(
                    fn (Sitting $sitting): PastSittingView => self::past(
                        sitting: $sitting,
                        withheld: isset($withheld[$sitting->id]),
                        cut: BigRational::of((string) $candidacy->exam->rules['cut']),
                    ),
                    array_values($past->all()),
                ),
                examDate: $enrolment->examDate(),
                daysToGo: $toGo,
                outlook: OutlookView::of($kept['stands']['outlook']),
                week: $this->week->of($candidacy),
                steps: $this->steps->of(
                    candidacy: $candidacy,
                    kept: $kept,
                    quick: $quick,
                    daysToGo: $toGo,
                    lastMs: $past->first()?->ended_ms,
                ),
            ),
        );
    }

    #[Operation('Begin without choosing', returns: BuiltView::class, status: 201)]
    public function begin(QuickStartRequest $request, Candidacy $candidacy): JsonResponse
    {
        $start = QuickStart::from($request->string('start')->value());

        return new JsonResponse(BuiltView::of($this->quick->begin($candidacy, $start)), 201);
    }

    #[Operation('Say when the exam is')]
    public function enrol(EnrolmentRequest $request, Candidacy $candidacy): Response
    {
        $date = $request->input('examDate');
        Enrolment::keep(
            user: $candidacy->user->id,
            exam: $candidacy->exam->id,
            examDate: is_string($date) ? $date : null,
            timeZone: $request->string('timeZone')->value(),
        );
        ThisWeek::forget($candidacy);

        return response()->noContent();
    }

    private function open(Sitting $sitting): OpenSittingView
    {
        $isOver = $this->closing->isOver($sitting);

        return new OpenSittingView(
            id: $sitting->id,
            title: $sitting->name,
            mode: $sitting->mode,
            begun: $sitting->status === Stage::Open,
            questions: $sitting->questions,
            answered: $sitting->answered,
            touchedAt: $sitting->contact_ms,
            leftMs: $isOver ? null : $this->closing->leftMs($sitting),
            timeUp: $isOver,
            waits: $isOver && Closing::isHeld($sitting),
        );
    }

    /** @param  bool  $withheld  a test whose clock is not over asks the same: what came of this one waits */
    private static function past(Sitting $sitting, bool $withheld, BigRational $cut): PastSittingView
    {
        $marks = BigRational::of((string) $sitting->marks);
        $possible = BigRational::of((string) $sitting->possible);

        $told = ! $sitting->getAttribute('is_adaptive') && ! $withheld;

        return new PastSittingView(
            id: $sitting->id,
            title: $sitting->name,
            mode: $sitting->mode,
            endedAt: (int) $sitting->ended_ms,
            questions: $sitting->questions,
            answered: $sitting->answered,
            marks: $told ? Shown::decimal($marks) : null,
            possible: Shown::decimal($possible),
            share: $told && $possible->getSign() !== 0
                ? Shown::wholePercent($marks->dividedBy($possible), $cut)
                : null,
        );
    }

    /** @return list<ExamLinkView> */
    private function links(User $user): array
    {
        $open = Sitting::query()
            ->where('user_id', $user->id)
            ->whereIn('status', [Stage::NotStarted, Stage::Open])
            ->groupBy('exam_id')
            ->selectRaw('exam_id, count(*) as n')
            ->pluck('n', 'exam_id');

        return array_map(
            function (Exam $exam) use ($user, $open): ExamLinkView {
                $candidacy = new Candidacy($user, $exam);
                $today = $candidacy->today($this->clock);

                return new ExamLinkView(
                    slug: $exam->slug,
                    name: $exam->name,
                    open: (int) ($open[$exam->id] ?? 0),
                    due: $this->due->of($candidacy, $today)[$today] ?? 0,
                );
            },
            array_values(Exam::query()->orderBy('position')->get()->all()),
        );
    }
}
